export function serve(
  port: number,
  options?: { readonly demo?: boolean; readonly lan?: boolean },
): Promise<{ readonly url: string; readonly stop: () => void }>;
