/** Where `@Type` keeps which class a field has; the package does not describe this file of its own. */
declare module 'class-transformer/cjs/storage.js' {
  export { defaultMetadataStorage } from 'class-transformer/types/storage.js';
}
