// Makes the demo studio where there is none. Called by npm run demo.
import { endPool } from '@/db/base/pool'
import { seedDemo } from '../demo/seed'

console.log((await seedDemo(new Date())) ? 'demo studio made' : 'the demo studio is there already')
await endPool()
