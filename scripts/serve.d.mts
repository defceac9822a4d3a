export function serve(
  port: number,
  options?: { readonly demo?: boolean; readonly lan?: boolean; code?: string | null },
): Promise<{ readonly url: string; readonly stop: () => void }>;
