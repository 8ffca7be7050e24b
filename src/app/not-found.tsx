import { Link } from '@/ui/frame/Link'
import { EmptyState } from '@/ui/frame/Notice'

export default function NotFound() {
  return (
    <main>
      <EmptyState title="Not here">
        There is nothing at this address in your studio. It may have been removed, or the link is not complete.
        <br />
        <Link className="go" href="/rack">
          To the rack
        </Link>
      </EmptyState>
    </main>
  )
}
