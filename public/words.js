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
self.addEventListener('activate', (event) => event.waitUntil(self.clients.claim()))
self.addEventListener('fetch', (event) => {
  if (event.request.mode !== 'navigate') return
  event.respondWith(fetch(event.request).catch(() => caches.match(WORDS)))
})
