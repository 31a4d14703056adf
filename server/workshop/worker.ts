import 'reflect-metadata'
import { parentPort } from 'node:worker_threads'
import { knowEveryKind } from '../../core/design/everyKind'
import { DONE, type JobKind, type Jobs } from './jobs'
import { transfersIn } from './transfers'

/** A job as it comes into the workshop. */
export interface Order {
  readonly number: number
  readonly kind: JobKind
  readonly takes: Jobs[JobKind]['takes']
}

/** What leaves the workshop: what came of a job, or where it failed, without anything that a maker wrote. */
export type Delivery = { readonly number: number } & ({ readonly gives: unknown } | { readonly failed: string })

// Bags come in from the shelf without being read anew.
knowEveryKind()

parentPort?.on('message', ({ number, kind, takes }: Order) => {
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
