export const dynamic = 'force-dynamic'

/** Says that Fika is there, to whoever asks. */
export const GET = () => new Response(null, { status: 204, headers: { 'Cache-Control': 'no-store' } })
