import type { Metadata } from 'next'
import { redirect } from 'next/navigation'
import { openDemoAction, signInAction, signUpAction } from '@/server/door'
import { session } from '@/session/current'
import { Door } from '@/ui/frame/Door'

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
