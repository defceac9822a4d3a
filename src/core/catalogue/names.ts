/** More than one of a species, by its English name: “leopard geckos”, “green tree frogs of Australia”. */
export function many(english: string): string {
  const [, head = english, rest = ''] = /^(.+?)( of .+)$/.exec(english) ?? [];
  const plural = /[^aeiou]y$/.test(head)
    ? `${head.slice(0, -1)}ies`
    : /(?:s|x|ch|sh)$/.test(head)
      ? `${head}es`
      : `${head}s`;
  return `${plural}${rest}`;
}
