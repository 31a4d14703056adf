// @ts-expect-error a module that the build makes
import '#nitro-internal-pollyfills'
import { toNodeListener } from 'h3'
import { useNitroApp } from 'nitropack/runtime'
import { askedFor, inAddress, isLoopback } from './door/address'
import { certificateIn, closeToHouse, couldListen, type Listening, listenAt, listenWords, openToHouse } from './door/listening'
import { isOpenToHouse } from './door/openSetting'
import { closeShared } from './db/connection'
import { begin } from './library/startRecords'
import { beginChores } from './library/chores'

/*
 * Where the built program begins: it looks at what it was asked to do, opens the records, and listens, on this machine alone unless told
 * otherwise. What cannot be is told in a sentence, and ends it with an exit code that is not 0.
 */

function give(words: string): never {
  process.stderr.write(`\n${words}\n\n`)
  process.exit(1)
}

const asked = askedFor(process.env)
if ('words' in asked) give(asked.words)
const { host, port } = asked
const certificate = certificateIn(process.env)
if (certificate && 'words' in certificate) give(certificate.words)

const phrase = process.env.FAIR_HOLLOW_PASSPHRASE || undefined
if (!isLoopback(host) && (phrase?.length ?? 0) < 8) {
  give(
    `HOST is "${host}", which lets others on the network in. Set FAIR_HOLLOW_PASSPHRASE to at least 8 characters that they are asked `
    + 'for, or leave HOST out and choose "Use it on my phone" in the program. Nothing was started.',
  )
}

const begun = begin(`${certificate ? 'https' : 'http'}://${inAddress(host)}:${port}`)
if (begun.words && !begun.goesOn) give(begun.words)
if (begun.words) process.stderr.write(`\n${begun.words}\n\n`)

const program = useNitroApp()
const listening: Listening = { port, certificate, program: toNodeListener(program.h3App) }
const door = { inHouse: !isLoopback(host), address: host, port, secure: certificate !== undefined }

/** A mistake of ours that nothing caught: told without what anybody wrote, and the program goes on. */
function told(what: string): (error: unknown) => void {
  return (error) => {
    const { name = 'Error', stack = '' } = error as Error
    process.stderr.write(`${what}: ${name}\n${stack.split('\n').filter(line => /^\s+at /.test(line)).join('\n')}\n`)
  }
}
process.on('uncaughtException', told('uncaught'))
process.on('unhandledRejection', told('unhandled'))

/** Listens, and goes on until it is told to end. */
async function listen(): Promise<void> {
  try {
    const server = await listenAt(door, listening, phrase)
    couldListen(listening)
    const endChores = beginChores()
    process.stdout.write(`Fair Hollow is at ${certificate ? 'https' : 'http'}://${inAddress(host)}:${port}\n`)
    if (!door.inHouse && isOpenToHouse()) {
      for (const address of await openToHouse()) process.stdout.write(`For phones it is at ${address}\n`)
    }
    for (const signal of ['SIGTERM', 'SIGINT'] as const) {
      process.once(signal, () => {
        closeToHouse()
        server.close()
        server.closeAllConnections()
        endChores()
        closeShared()
        process.exit(0)
      })
    }
  }
  catch (error) {
    give(listenWords(error, door))
  }
}

void listen()
