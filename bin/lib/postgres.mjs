// PostgreSQL's own programs, run as they insist: the server's as an unprivileged user, the clients' with the password
// in their environment, where no other user of the machine can read it.
import { existsSync, readFileSync, readlinkSync, realpathSync, rmSync } from 'node:fs'
import { join } from 'node:path'
import { postgresBin } from './packages.mjs'
import { isRoot, must, sh } from './shell.mjs'
import { Stop } from './steps.mjs'

/** A program and its arguments as they are run: by the user `postgres` where we are root. */
export const asPostgres = (path, args) =>
  isRoot() ? ['runuser', ['-u', 'postgres', '--', path, ...args]] : [path, args]

/** The same for a program of the server's own. */
const asServer = (program, args, version) => asPostgres(join(postgresBin(version), program), args)

/** Runs a server program to its end. @throws Error with what it said */
export function server(program, args, { version, ...options } = {}) {
  return must(...asServer(program, args, version), { cwd: '/', ...options })
}

/** Environment that leads a client program to a database, password and all. */
const clientEnv = ({ port, role, password, database }) => ({
  PGHOST: '127.0.0.1',
  PGPORT: String(port),
  PGUSER: role,
  PGPASSWORD: password,
  PGDATABASE: database,
  PGCONNECT_TIMEOUT: '15',
})

/** Runs a client program to its end. @param to where it leads: port, role, password, database */
export const client = (program, to, args, options = {}) =>
  must(join(postgresBin(), program), args, { cwd: '/', ...options, env: { ...clientEnv(to), ...options.env } })

/** Runs SQL as it stands. */
export const psql = (to, sql) => client('psql', to, ['-X', '-q', '-At', '-v', 'ON_ERROR_STOP=1'], { input: sql })

/** The major version a data folder was made by. @throws Stop where the folder is there and does not say */
export function versionOf(data) {
  if (!existsSync(data)) return undefined
  try {
    return readFileSync(join(data, 'PG_VERSION'), 'utf8').trim()
  } catch (error) {
    if (error.code === 'EACCES') throw error
    throw new Stop(
      `${data} is not whole: it lacks PG_VERSION. Move that folder away, start Fika once, end it, and bring back the newest backup with npm run restore.`,
    )
  }
}

/** Refuses a data folder of another version, with the way out of it. @throws Stop */
export function refuseOtherVersion(data) {
  const version = versionOf(data)
  if (version === undefined || postgresBin(version)) return
  throw new Stop(
    `${data} was made by PostgreSQL ${version}, which is not installed here. Install it (apt-get install postgresql-${version}), or move the folder away and bring back a backup with npm run restore.`,
  )
}

/** The process that serves a data folder: its number and port; undefined where none does. */
export async function servedBy(data) {
  const file = join(data, 'postmaster.pid')
  if (!existsSync(file)) return undefined
  const [pid, , , port] = readFileSync(file, 'utf8').split('\n')
  const where = folderOf(Number(pid))
  if (where === undefined) {
    // No such folder can be looked up here: the server's own program says.
    const { code } = await sh(...asServer('pg_ctl', ['status', '-D', data], versionOf(data)), { cwd: '/' })
    return code === 0 ? { pid: Number(pid), port: Number(port) } : undefined
  }
  if (where === realpathSync(data)) return { pid: Number(pid), port: Number(port) }
  // A number that went to another program since: PostgreSQL would take that for itself and not start.
  rmSync(file, { force: true })
  return undefined
}

/** The folder a process works in: '' where it is gone or another user's; undefined where that cannot be known. */
function folderOf(pid) {
  if (!existsSync('/proc/self/cwd')) return undefined
  try {
    return readlinkSync(`/proc/${pid}/cwd`)
  } catch {
    return ''
  }
}

/** Sets the administrator's password while the server is off, without knowing the one before. */
export const resetAdmin = (data, role, password) =>
  server('postgres', ['--single', '-j', '-D', data, 'postgres'], {
    version: versionOf(data),
    input: `alter role ${role} password '${password}';\n\n`,
  })
