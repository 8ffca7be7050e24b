'use server'

import type { Answer } from '@/core/answer'
import { invite, withdrawInvitation } from '@/db/people/invitations'
import { giveRole, removeMember } from '@/db/people/members'
import { byIdSchema, invitationSchema, memberRoleSchema, memberSchema } from '@/db/people/memberSchema'
import { publicOrigin } from '@/server/asker'
import { change } from '@/server/change'
import { note } from '@/server/log'
import { perform } from '@/server/perform'

/** Makes an invitation. Answers its link, this once. */
export async function inviteAction(input: unknown): Promise<Answer<string>> {
  return perform(invitationSchema, input, async (tx, invitation) => {
    const token = await invite(tx, invitation)
    tx.afterCommit(() => note('invitation made', { role: invitation.role, account: tx.accountId ?? '' }))
    return `${await publicOrigin()}/join/${token}`
  })
}

/** Takes an invitation back before it is used. */
export const withdrawInvitationAction = async (input: unknown) => change(byIdSchema, input, withdrawInvitation)

/** Gives a member another role. */
export const giveRoleAction = async (input: unknown) =>
  change(memberRoleSchema, input, async (tx, given) => {
    await giveRole(tx, given)
    tx.afterCommit(() => note('role given', { ...given, by: tx.accountId ?? '' }))
  })

/** Removes a member; what they did stays in the journal. */
export const removeMemberAction = async (input: unknown) =>
  change(memberSchema, input, async (tx, member) => {
    await removeMember(tx, member)
    tx.afterCommit(() => note('member removed', { ...member, by: tx.accountId ?? '' }))
  })
