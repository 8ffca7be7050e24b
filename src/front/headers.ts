/**
 * Content-Security-Policy of one answer: scripts by nonce or from here, nothing from elsewhere, no frame around it.
 * Styles may stand inline: they are written by the interface library as it draws, and hold nothing anybody typed.
 * OWASP ASVS 4.0.3, 14.4.3; CSP Level 3 (W3C).
 */
const policy = (nonce: string) =>
  [
    "default-src 'none'",
    `script-src 'self' 'nonce-${nonce}'`,
    "worker-src 'self' blob:",
    "style-src 'self' 'unsafe-inline'",
    "img-src 'self' data: blob:",
    "font-src 'self'",
    "connect-src 'self'",
    "manifest-src 'self'",
    "form-action 'self'",
    "base-uri 'none'",
    "frame-ancestors 'none'",
  ].join('; ')

/** Devices a page may ask for; the rest is off. */
const PERMISSIONS = [
  'camera=(self)',
  'accelerometer=(self)',
  'gyroscope=(self)',
  'geolocation=()',
  'microphone=()',
  'payment=()',
  'usb=()',
  'serial=()',
  'browsing-topics=()',
].join(', ')

const YEAR_S = 31_536_000

/** Headers of every answer. @param secure whether it goes out over TLS */
export const securityHeaders = (nonce: string, secure: boolean): Readonly<Record<string, string>> => ({
  'Content-Security-Policy': policy(nonce),
  'X-Content-Type-Options': 'nosniff',
  'X-Frame-Options': 'DENY',
  'Referrer-Policy': 'same-origin',
  'Permissions-Policy': PERMISSIONS,
  'Cross-Origin-Opener-Policy': 'same-origin',
  'Cross-Origin-Resource-Policy': 'same-origin',
  ...(secure ? { 'Strict-Transport-Security': `max-age=${YEAR_S}` } : {}),
})
