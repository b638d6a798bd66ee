/**
 * The app's page as it was built: what the server writes into each copy, its nonce and whether it is a demo, is taken out
 * again. Another page, such as the sign-in of a network that answers for every address, has neither.
 */
export function asBuilt(html: string): string {
  const [, nonce = ''] = /<meta name="csp-nonce" content="([^"]*)"/.exec(html) ?? [];
  const page = nonce === '' ? html : html.replaceAll(nonce, '__NONCE__');
  return page.replace(/(<meta name="demo" content=")[^"]*/, '$1__DEMO__');
}
