/**
 * The same function, keeping what it gave for a thing that never changes and a key of what else it was asked with: a machine is opened, ordered and
 * drawn over and over on one page. What it gives must be left as it is; with the thing itself it is forgotten.
 * @param most answers kept of one thing; when there are more it begins anew.
 */
export function kept<O extends object, A extends readonly unknown[], V>(
  compute: (of: O, ...rest: A) => V,
  keyOf: (...rest: A) => string,
  most = 64,
): (of: O, ...rest: A) => V {
  const answers = new WeakMap<O, Map<string, V>>();
  return (of, ...rest) => {
    const own = answers.get(of) ?? answers.set(of, new Map()).get(of)!;
    const key = keyOf(...rest);
    const known = own.get(key);
    if (known !== undefined || own.has(key)) return known as V;
    if (own.size >= most) own.clear();
    const made = compute(of, ...rest);
    own.set(key, made);
    return made;
  };
}
