export * from './data/product-roles.js';
export * from './compatibility.js';
export * from './wear.js';
export * from './clog-test.js';
export * from './protection-on.js';
export * from './protections-after.js';
export * from './coat-history.js';
