'use client'

import { Button, Input, Popconfirm, Select } from 'antd'
import { Link } from '@/ui/frame/Link'
import { useState } from 'react'
import { v7 as uuidv7 } from 'uuid'
import { ROLE_WORDS, ROLES, type Role } from '@/core/people/roles'
import type { Invitation } from '@/db/people/invitations'
import type { Member } from '@/db/people/members'
import { LinkToGive } from '@/ui/frame/LinkToGive'
import { Notice } from '@/ui/frame/Notice'
import { useSend } from '@/ui/hooks/useSend'
import { day } from '@/ui/tables/dates'
import { StudioNav } from '../StudioNav'
import { giveRoleAction, inviteAction, removeMemberAction, withdrawInvitationAction } from './actions'
import { Face } from './Face'
import styles from './people.module.css'

const roleOptions = ROLES.map((value) => ({ value, label: ROLE_WORDS[value].name }))

/** Who is in the studio, what each may do, and how somebody else comes in. */
export function People({
  members,
  invitations,
  me,
  role,
  zone,
}: {
  members: readonly Member[]
  invitations: readonly Invitation[]
  /** The account that looks. */
  me: string
  role: Role
  zone: string
}) {
  const decides = role === 'owner'
  const inside = members.filter((m) => m.endedAt === null)
  const left = members.filter((m) => m.endedAt !== null)
  return (
    <>
      <div className="head">
        <h1>
          People <span className="sub">who is in this studio, and what each may do</span>
        </h1>
      </div>
      <StudioNav here="/studio/people" />
      <div className="wide-left">
        <section className="panel" aria-label="Members">
          <h2>In the studio</h2>
          <ul className={styles.people}>
            {inside.map((m) => (
              <MemberRow key={m.accountId} member={m} me={me} decides={decides} zone={zone} />
            ))}
          </ul>
          {left.length ? (
            <>
              <h3 className="below">Have left</h3>
              <ul className={styles.people}>
                {left.map((m) => (
                  <li key={m.accountId}>
                    <Face name={m.name} faint />
                    <span className={styles.who}>
                      <b>{m.name}</b>
                      <small>left {day(m.endedAt!, zone)}; what they did stays in the journal</small>
                    </span>
                  </li>
                ))}
              </ul>
            </>
          ) : null}
          <p className="muted below">
            To leave the studio, or to open another one, go to <Link href="/account">your account</Link>.
          </p>
        </section>
        <div className="grid">
          {decides ? <Invite invitations={invitations} zone={zone} /> : null}
          <section className="panel" aria-label="What each may do">
            <h2>What each may do</h2>
            <dl className={styles.roles}>
              {ROLES.map((r) => (
                <div key={r} data-mine={r === role || undefined}>
                  <dt>{ROLE_WORDS[r].name}</dt>
                  <dd>{ROLE_WORDS[r].may}</dd>
                </div>
              ))}
            </dl>
            <p className="muted">
              A client needs no place here: a work can be shown by a link that ends, made on the work itself.
            </p>
          </section>
        </div>
      </div>
    </>
  )
}

function MemberRow({ member: m, me, decides, zone }: { member: Member; me: string; decides: boolean; zone: string }) {
  const { send, pending, refusal } = useSend<null>()
  return (
    <li data-testid={`member-${m.name}`}>
      <Face name={m.name} />
      <span className={styles.who}>
        <b>
          {m.name}
          {m.accountId === me ? ' (you)' : ''}
        </b>
        <small>
          since {day(m.since, zone)}
          {m.lastDid ? `, last in the journal ${day(m.lastDid, zone)}` : ''}
        </small>
        {refusal ? <Notice kind="warning">{refusal.message}</Notice> : null}
      </span>
      {decides ? (
        <span className={styles.doing}>
          <Select
            aria-label={`Role of ${m.name}`}
            size="large"
            value={m.role}
            disabled={pending}
            options={roleOptions}
            onChange={(role: Role) =>
              send(() => giveRoleAction({ accountId: m.accountId, role }), undefined, 'Role given')
            }
          />
          {m.accountId === me ? null : (
            <Popconfirm
              title={`Remove ${m.name}?`}
              description="Their open pages end now. What they did stays in the journal."
              okText="Remove"
              cancelText="Keep"
              onConfirm={() => send(() => removeMemberAction({ accountId: m.accountId }), undefined, 'Removed')}
            >
              <Button size="large" disabled={pending} aria-label={`Remove ${m.name}`}>
                Remove
              </Button>
            </Popconfirm>
          )}
        </span>
      ) : (
        <span className={styles.role}>{ROLE_WORDS[m.role].name}</span>
      )}
    </li>
  )
}

function Invite({ invitations, zone }: { invitations: readonly Invitation[]; zone: string }) {
  const [id, setId] = useState(() => uuidv7())
  const [role, setRole] = useState<Role>('maker')
  const [forWhom, setForWhom] = useState('')
  const [link, setLink] = useState('')
  const { send, pending, refusal } = useSend<string>()
  const withdraw = useSend<null>()
  const said = refusal ?? withdraw.refusal
  return (
    <section className="panel" aria-label="Invite somebody">
      <h2>Invite somebody</h2>
      <p className="muted">A link that lets one person in, once, within 7 days.</p>
      <div className="two columns">
        <label className="field">
          <span>For whom</span>
          <Input
            size="large"
            value={forWhom}
            maxLength={120}
            placeholder="a name, for your own list"
            onChange={(e) => setForWhom(e.target.value)}
          />
        </label>
        <label className="field">
          <span>As</span>
          <Select
            aria-label="Role they get"
            className="wide"
            size="large"
            value={role}
            onChange={setRole}
            options={roleOptions}
          />
        </label>
      </div>
      <Button
        type="primary"
        size="large"
        loading={pending}
        onClick={() =>
          send(
            () => inviteAction({ id, role, forWhom }),
            (made) => {
              setLink(made)
              setId(uuidv7())
              setForWhom('')
            },
          )
        }
      >
        Make an invitation
      </Button>
      {link ? <LinkToGive link={link} label="Invitation" /> : null}
      {said ? <Notice kind="warning">{said.message}</Notice> : null}
      {invitations.length ? (
        <>
          <h3 className="below">Not used yet</h3>
          <ul className={styles.people}>
            {invitations.map((i) => (
              <li key={i.id}>
                <span className={styles.who}>
                  <b>
                    {i.forWhom || 'Somebody'}, as {ROLE_WORDS[i.role].name}
                  </b>
                  <small>ends {day(i.endsAt, zone)}</small>
                </span>
                <Button
                  size="large"
                  disabled={withdraw.pending}
                  onClick={() => withdraw.send(() => withdrawInvitationAction({ id: i.id }), undefined, 'Withdrawn')}
                >
                  Withdraw
                </Button>
              </li>
            ))}
          </ul>
        </>
      ) : null}
    </section>
  )
}
