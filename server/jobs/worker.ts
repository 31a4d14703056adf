import 'reflect-metadata'
import { setPriority } from 'node:os'
import { parentPort } from 'node:worker_threads'
import { knowEveryKind } from '../../core/bag/design/everyKind'
import { DONE, type JobKind, type Jobs } from './jobs'
import { onProgress } from './progress'
import { transfersIn } from './transfers'

/** A job as it comes into a worker. */
export interface JobRequest {
  readonly number: number
  readonly kind: JobKind
  readonly takes: Jobs[JobKind]['takes']
}

/** Messages of the worker pool: how far a job is, its result, or where it failed, without anything that a maker wrote. */
export type Delivery = { readonly number: number }
  & ({ readonly share: number } | { readonly gives: unknown } | { readonly failed: string })

/** As much less than others as a program may ask for; who waits for an answer comes first. */
const LOW_PRIORITY = 19
// On Linux this is of the thread alone that asks for it (setpriority(2)); elsewhere it would be of the whole program.
if (process.platform === 'linux') setPriority(LOW_PRIORITY)

// Bags come in from the shelf without being read anew.
knowEveryKind()

parentPort?.on('message', ({ number, kind, takes }: JobRequest) => {
  onProgress(share => parentPort!.postMessage({ number, share } satisfies Delivery))
  void Promise.resolve()
    .then(() => (DONE[kind] as (takes: unknown) => unknown)(takes))
    .then(
      gives => parentPort!.postMessage({ number, gives } satisfies Delivery, transfersIn(gives)),
      (error: unknown) => {
        const { name = 'Error', stack = '' } = error as Error
        const frames = stack.split('\n').filter(line => /^\s+at /.test(line))
        parentPort!.postMessage({ number, failed: [name, ...frames].join('\n') } satisfies Delivery)
      },
    )
})
