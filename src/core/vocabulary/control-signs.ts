const control =
  // biome-ignore lint/suspicious/noControlCharactersInRegex: they are what is looked for
  /[\u0000-\u0008\u000B\u000C\u000E-\u001F\u007F\u0080-\u009F\u2028\u2029\uFFFE\uFFFF]|[\uD800-\uDBFF](?![\uDC00-\uDFFF])|(?<![\uD800-\uDBFF])[\uDC00-\uDFFF]/;

/**
 * Where a text holds a sign nobody can see or print: a control character other than tab and line end, half a surrogate pair, or what Unicode sets
 * aside as no character. @returns the path to the first, its steps joined by points, "" for the value itself; null where there is none.
 */
export function controlSignAt(value: unknown, path = ""): string | null {
  if (typeof value === "string") return control.test(value) ? path : null;
  if (value === null || typeof value !== "object") return null;
  for (const [key, inner] of Object.entries(value)) {
    if (control.test(key)) return path;
    const found = controlSignAt(inner, path ? `${path}.${key}` : key);
    if (found !== null) return found;
  }
  return null;
}
