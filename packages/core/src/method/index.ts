export * from './wash-step.js';
export * from './method.js';
export * from './describe-method.js';
export * from './data/methods.js';
export * from './own-order.js';
export * from './shop-method.js';
