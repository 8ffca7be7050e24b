import NextLink from 'next/link'
import type { ComponentProps } from 'react'

/**
 * A way to another page of Fika. What a page shows is read when it is asked for, so nothing of it could be fetched
 * before: by itself every link in sight would ask the studio's server for an empty frame.
 */
export const Link = (props: Omit<ComponentProps<typeof NextLink>, 'prefetch'>) => (
  <NextLink {...props} prefetch={false} />
)
