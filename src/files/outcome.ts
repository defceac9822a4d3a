/** A file read, or where it will not do and what to do about it. */
export type Read<T> =
  | { readonly ok: true; readonly value: T }
  | {
      readonly ok: false;
      /** Place in the file: `designs[2].ground.layers[0].thickness.frontLeft`, or `line 3, column 14`. */
      readonly place: string;
      readonly message: string;
    };
