export * from './booked-span.js';
export * from './message.js';
export * from './customer.js';
