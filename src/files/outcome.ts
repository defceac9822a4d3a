/** A file read, or where it will not do and what to do about it. */
export type Read<T> =
  | { readonly ok: true; readonly value: T }
  | {
      readonly ok: false;
      /** Place in the file: `designs[2].ground.layers[0].thickness.frontLeft`, or `line 3, column 14`. */
      readonly place: string;
      readonly message: string;
    };

/** `['designs', 2, 'name']` → `designs[2].name` */
export function pathText(path: readonly PropertyKey[]): string {
  const text = path.reduce<string>(
    (sum, step) =>
      typeof step === 'number' ? `${sum}[${step}]` : sum === '' ? String(step) : `${sum}.${String(step)}`,
    '',
  );
  return text === '' ? 'the whole file' : text;
}
