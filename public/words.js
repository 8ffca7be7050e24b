// Keeps one page of words for when Fika cannot be reached, and nothing else: what is shown of a studio is never old.
const WORDS = '/words.html'

self.addEventListener('install', (event) => {
  event.waitUntil(
    caches
      .open('fika-words')
      .then((kept) => kept.add(new Request(WORDS, { cache: 'reload' })))
      .then(() => self.skipWaiting()),
  )
})
self.addEventListener('activate', (event) =>
  // A page is asked for while this wakes up, not after.
  event.waitUntil(Promise.all([self.clients.claim(), self.registration.navigationPreload?.enable()])),
)

async function pageOrWords({ request, preloadResponse }) {
  try {
    return (await preloadResponse) ?? (await fetch(request))
  } catch {
    return caches.match(WORDS)
  }
}
self.addEventListener('fetch', (event) => {
  if (event.request.mode === 'navigate') event.respondWith(pageOrWords(event))
})
