import { answerThread } from '@/server/threadSide'
import { doListJob, type ListJob } from './listJobs'

answerThread<ListJob>((job, part) => doListJob(job, part))
