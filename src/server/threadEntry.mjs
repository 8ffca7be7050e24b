// Where a thread begins: reads the TypeScript it is told to run. See thread.ts.
import { workerData } from 'node:worker_threads'
import { tsImport } from 'tsx/esm/api'

await tsImport(workerData.file, import.meta.url)
