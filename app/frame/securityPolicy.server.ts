/**
 * The Content-Security-Policy of a page. Style attributes stay allowed: the interface library sets sizes and
 * colours through them. Development needs inline styles and a socket for hot reload.
 */
export function securityPolicy(nonce: string, isDevelopment: boolean): string {
  const style = isDevelopment ? "'self' 'unsafe-inline'" : `'self' 'nonce-${nonce}'`;
  const directives = {
    "default-src": "'self'",
    "script-src": `'self' 'nonce-${nonce}'`,
    "style-src": style,
    "style-src-attr": "'unsafe-inline'",
    "img-src": "'self' data:",
    "font-src": "'self'",
    "connect-src": isDevelopment ? "'self' ws:" : "'self'",
    "worker-src": "'self'",
    "object-src": "'none'",
    "base-uri": "'none'",
    "form-action": "'self'",
    "frame-ancestors": "'none'",
  };
  return Object.entries(directives)
    .map(([name, value]) => `${name} ${value}`)
    .join("; ");
}
