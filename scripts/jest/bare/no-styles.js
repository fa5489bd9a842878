/** Stands for a style sheet: each class is its own name. */
export default new Proxy({}, { get: (_target, name) => (typeof name === 'string' ? name : undefined) });
