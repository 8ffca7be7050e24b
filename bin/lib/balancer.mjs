// HAProxy before several copies of the app, from Debian.
import { spawn } from 'node:child_process'
import { writeFileSync } from 'node:fs'
import { join } from 'node:path'

/**
 * Starts a balancer on loopback: the copies in turn; one that does not answer gets nothing until it does again, and a
 * request whose connection it refused goes to the next.
 */
export function startBalancer(home, port, copies) {
  const file = join(home, 'haproxy.cfg')
  writeFileSync(
    file,
    `global
  maxconn 2000
defaults
  mode http
  timeout connect 2s
  timeout client 10m
  timeout server 10m
  retries 3
  option redispatch 1
  retry-on conn-failure empty-response
  balance roundrobin
listen fika
  bind 127.0.0.1:${port}
  option httpchk GET /alive
  http-check send hdr Host 127.0.0.1:${port}
${copies.map((c, i) => `  server copy${i} 127.0.0.1:${c} check inter 500ms fall 1 rise 1`).join('\n')}
`,
    { mode: 0o600 },
  )
  const child = spawn('/usr/sbin/haproxy', ['-q', '-db', '-f', file], { stdio: 'ignore' })
  const ended = new Promise((resolve) => child.once('exit', resolve))
  return {
    url: `http://127.0.0.1:${port}`,
    async stop() {
      child.kill('SIGTERM')
      await ended
    },
  }
}
