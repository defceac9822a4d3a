export function serve(
  port: number,
  options?: { readonly demo?: boolean },
): Promise<{ readonly url: string; readonly stop: () => void }>;
