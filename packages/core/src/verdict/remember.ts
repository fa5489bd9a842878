/** What a store holds under a key, made where it is not known. */
export function remember<V>(store: Map<number, V>, key: number, make: () => V): V {
  const known = store.get(key);
  if (known !== undefined) return known;
  const made = make();
  store.set(key, made);
  return made;
}

/** The same function, which makes each value once. */
export function onceEach<K extends object, V>(make: (key: K) => V): (key: K) => V {
  const made = new Map<K, { readonly value: V }>();
  return (key) => {
    const known = made.get(key);
    if (known) return known.value;
    const value = make(key);
    made.set(key, { value });
    return value;
  };
}
