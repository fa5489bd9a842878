export * from './data/step-products.js';
export * from './product.js';
export * from './mix.js';
export * from './chemistry.js';
export * from './warnings.js';
export * from './wash-use.js';
export * from './kit-taken.js';
