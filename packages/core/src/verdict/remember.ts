/** What a store holds under a key, made where it is not known. */
export function remember<V>(store: Map<number, V>, key: number, make: () => V): V {
  const known = store.get(key);
  if (known !== undefined) return known;
  const made = make();
  store.set(key, made);
  return made;
}
