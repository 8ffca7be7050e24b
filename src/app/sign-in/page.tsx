import type { Metadata } from 'next'
import { redirect } from 'next/navigation'
import { openDemoAction, signInAction, signUpAction } from '@/session/actions'
import { session } from '@/session/current'
import { Door } from '@/ui/Door'

export const metadata: Metadata = { title: 'Sign in' }

export default async function SignIn() {
  if (await session()) redirect('/rack')
  return (
    <Door
      demo={process.env.FIKA_DEMO === '1' ? openDemoAction : undefined}
      signIn={signInAction}
      signUp={signUpAction}
    />
  )
}
