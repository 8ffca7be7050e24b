/** What a person may do in a studio: decide over it, work in it, or look on. */
export const ROLES = ['owner', 'maker', 'visitor'] as const
export type Role = (typeof ROLES)[number]

/** A role as it is said, and what it lets one do. */
export const ROLE_WORDS: Readonly<Record<Role, { readonly name: string; readonly may: string }>> = {
  owner: { name: 'owner', may: 'all work, and decides who is in, by which rules, and over back-ups' },
  maker: { name: 'maker', may: 'all work: paints, bottles, plans, pours, the wall and the notebook' },
  visitor: { name: 'visitor', may: 'looks at everything and changes nothing' },
}

/** What is said to a visitor who would change something. */
export const LOOKS_ON =
  'You look on here as a visitor, so nothing was changed. To work in this studio, ask an owner to make you a maker.'

/** What is said to whoever would decide what an owner decides. */
export const OWNER_DECIDES = 'Only an owner decides that here, so nothing was changed. Ask one to do it.'
