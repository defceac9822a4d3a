/** Why a request is not answered. */
export interface Refused {
  readonly status: 403 | 421;
  readonly message: string;
}

/** Host names that lead to this machine or one in the same house, and no page of the wide web is called by. */
const NEAR = /^(localhost|[a-z0-9-]+|[a-z0-9-]+(\.[a-z0-9-]+)*\.(local|lan|internal|home\.arpa))$/i;
const ADDRESS = /^(\d{1,3}(\.\d{1,3}){3}|\[[0-9a-f:.]+\])$/i;

/**
 * Whether a request is answered. A page of another site may reach this machine under a name of its own (rebinding), or ask
 * from where it stands: neither is answered.
 * @param named host names that are allowed besides, of a reverse proxy
 */
export function refusedFor(
  { method, headers, path }: { readonly method: string; readonly headers: Headers; readonly path: string },
  named: readonly string[],
): Refused | null {
  const host = headers.get('host') ?? '';
  const name = host.replace(/:\d+$/, '');
  if (!NEAR.test(name) && !ADDRESS.test(name) && !named.includes(name.toLowerCase()))
    return {
      status: 421,
      message: `Rincon does not answer as “${name.slice(0, 80)}”. Name it in RINCON_HOSTS if that is its address`,
    };
  if (!path.startsWith('/api/')) return null;
  const from = headers.get('sec-fetch-site');
  // Typed into the address bar it comes from nowhere; that only ever reads.
  const isOwn = from === null || from === 'same-origin' || (from === 'none' && method === 'GET');
  const origin = headers.get('origin');
  if (!isOwn || (origin !== null && hostOf(origin) !== host))
    return { status: 403, message: 'only pages of this Rincon may ask' };
  return null;
}

function hostOf(origin: string): string | null {
  try {
    return new URL(origin).host;
  } catch {
    return null;
  }
}
