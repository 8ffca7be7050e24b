import type { PoolClient, QueryResultRow } from 'pg'
import { Conflict, FikaError, Forbidden } from '@/core/errors'
import { LOOKS_ON, OWNER_DECIDES, type Role } from '@/core/people/roles'
import { announce, type Topic } from './announce'
import { pool, preparedAs } from './pool'
import { troubleOf } from './trouble'

/** One transaction inside one studio. */
export interface Tx {
  readonly studioId: string
  /** The account that acts; null where the studio itself does (a seed, a scheduled task). */
  readonly accountId: string | null
  /** What whoever acts may do; the studio itself may do all. */
  readonly role: Role | 'studio'
  /** What has changed that other devices of the studio show; told to them once it is committed. */
  readonly touched: Set<Topic>
  /** Has something done once it is committed, and not at all where it is rolled back. */
  afterCommit(work: () => void): void
  /**
   * Runs one statement. Statements filter by studio_id themselves as well; row-level security is the second wall.
   * @param name prepares the statement under this name, for hot paths
   */
  q<Row extends QueryResultRow>(text: string, values?: readonly unknown[], name?: string): Promise<Row[]>
}

const UUID = /^[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}$/i

/** Whether a text can be an id at all; anything else is simply not found. */
export const isId = (text: unknown): text is string => typeof text === 'string' && UUID.test(text)

/** Lost connections and serialisation trouble: the same request may be tried again. */
const TRANSIENT = new Set(['57P03', '57P01', 'ECONNREFUSED', 'ECONNRESET', '40001', '40P01', '08006'])

/**
 * Runs `work` in one transaction that can see and write only this studio's rows. Whole or not at all: any error rolls
 * back. A server that is just coming back is tried once more, which is safe because every write carries a request id.
 * @throws FikaError as `work` does; Conflict for a unique or check violation that nothing explained better
 */
export async function withStudio<T>(who: Actor, work: (tx: Tx) => Promise<T>, way: Way = {}): Promise<T> {
  try {
    return await once(who, work, way)
  } catch (error) {
    if (!TRANSIENT.has(codeOf(error))) throw troubleOf(error) ?? error
    await new Promise((resolve) => setTimeout(resolve, 250))
    return once(who, work, way).catch((again) => {
      throw troubleOf(again) ?? again
    })
  }
}

/** Who acts in which studio; without an account it is the studio itself. */
export interface Actor {
  readonly studioId: string
  readonly accountId: string | null
}

/** How a transaction sees the others. */
export interface Way {
  /** All of its statements see one moment, however long it takes. */
  readonly oneMoment?: boolean
}

/**
 * Begins a transaction in one round trip: which studio, and what whoever acts may do there. A visitor's is read only,
 * whatever is asked of it.
 * @throws FikaError SignedOut where they are not in the studio any more
 */
async function begin(client: PoolClient, { studioId, accountId }: Actor, { oneMoment }: Way): Promise<Tx['role']> {
  const role = accountId
    ? `coalesce((select role from account_studio
         where studio_id = '${studioId}' and account_id = '${accountId}' and ended_at is null), '')`
    : `'studio'`
  // Two statements are answered by two results, which the types do not say.
  const results = (await client.query(
    `begin${oneMoment ? ' isolation level repeatable read' : ''}; select m.role, set_config('app.studio_id', '${studioId}', true), set_config('app.role', m.role, true),
       case when m.role = 'visitor' then set_config('transaction_read_only', 'on', true) end
     from (select ${role} as role) m`,
  )) as unknown as readonly { rows: readonly { role: Tx['role'] | '' }[] }[]
  const found = results[1]!.rows[0]!.role
  if (found) return found
  throw new FikaError('SignedOut', 'You are not in this studio any more. Sign in again to see which ones you are in.')
}

async function once<T>(who: Actor, work: (tx: Tx) => Promise<T>, way: Way): Promise<T> {
  if (!UUID.test(who.studioId)) throw new Error('not a studio id')
  if (who.accountId !== null && !UUID.test(who.accountId)) throw new Error('not the id of an account')
  const client = await pool().connect()
  let broken: Error | undefined
  // A line that breaks between two statements says so here; without a listener it would end the process.
  const lost = (error: Error) => (broken = error)
  client.on('error', lost)
  try {
    const role = await begin(client, who, way)
    const later: (() => void)[] = []
    const tx = transaction(client, { ...who, role }, later)
    const result = await work(tx)
    const committed = await client.query('commit')
    if (committed.command !== 'COMMIT') throw new Error('the database rolled back instead of committing')
    for (const work of later) work()
    if (tx.touched.size) announce(who.studioId, tx.touched)
    return result
  } catch (error) {
    await client.query('rollback').catch((e: Error) => (broken = e))
    throw explain(error)
  } finally {
    client.off('error', lost)
    client.release(broken)
  }
}

function transaction(client: PoolClient, who: Actor & Pick<Tx, 'role'>, later: (() => void)[]): Tx {
  return {
    studioId: who.studioId,
    accountId: who.accountId,
    role: who.role,
    touched: new Set<Topic>(),
    afterCommit: (work) => void later.push(work),
    async q<Row extends QueryResultRow>(text: string, values: readonly unknown[] = [], name?: string) {
      return (await client.query<Row>({ ...preparedAs(name), text, values: [...values] })).rows
    },
  }
}

const codeOf = (error: unknown) => (error as { code?: string } | null)?.code ?? ''

/** What a unique constraint says when it refuses, by its name; each is one that somebody can run into by typing. */
const TAKEN: Readonly<Record<string, string>> = {
  movement_studio_id_reverses_id_key: 'This has been undone already. Reload to see how it stands now.',
  material_studio_id_kind_maker_key_line_key_name_key_key:
    'Something of that maker, line and name is in the drawer already. Open that one, or change the name.',
  formula_by_name: 'A colour of that name is here already. Give this one another name.',
  recipe_by_name: 'A recipe of that name is here already. Give this one another name.',
}

/** Turns what the database refuses into a sentence, with its own word as the cause; everything else passes. */
function explain(error: unknown): unknown {
  if (error instanceof FikaError) return error
  const { constraint = '' } = (error ?? {}) as { constraint?: string }
  const refused = (sentence: string) => {
    // What the maker is told is a guess at what was meant; what the database said is kept for whoever looks into it.
    console.error(error)
    const conflict = new Conflict(sentence)
    conflict.cause = error
    return conflict
  }
  switch (codeOf(error)) {
    case '23505':
      return refused(
        TAKEN[constraint] ??
          'This was written already, or at the same moment by somebody else. Reload to see how it stands.',
      )
    case '23514':
      return refused('That would leave an amount no vessel can hold. Reload, look at the amounts and try again.')
    case '23503':
      return refused('Something this refers to is not in this studio any more. Reload and choose again.')
    case '25006':
      return new Forbidden(LOOKS_ON)
    case 'FK403':
      return new Forbidden(OWNER_DECIDES)
    case 'FK409':
      return new Conflict('A studio keeps an owner. Make somebody else an owner first, then do this again.')
    case '22003':
      return refused('A number here is larger than Fika can keep. Type a smaller one.')
    case '22021':
    case '22P05':
      return refused('This holds a character that cannot be kept. Type the text anew.')
    default:
      return error
  }
}
