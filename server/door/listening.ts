import { readFileSync } from 'node:fs'
import { createServer, type IncomingMessage, type RequestListener, type Server, type ServerResponse } from 'node:http'
import { createServer as createSecureServer } from 'node:https'
import { devices } from '../db/repositories'
import { RecordsTrouble } from '../db/trouble'
import { homeAddresses, inAddress } from './address'
import { watchdog } from '../library/watchdog'
import { cameBy, type Door, headsFor, isRecords, passes, pathOf, tokenIn } from './gate'
import { LET_IN, letIn } from './pairingPage'

/** A certificate and its key, as a maker brings them. */
interface Certificate {
  readonly cert: string
  readonly key: string
}

/** The certificate that two variables name, none if they do not, or what is wrong with it. */
export function certificateIn(environment: NodeJS.ProcessEnv): Certificate | undefined | { readonly words: string } {
  const { FAIR_HOLLOW_CERT, FAIR_HOLLOW_KEY } = environment
  if (!FAIR_HOLLOW_CERT && !FAIR_HOLLOW_KEY) return undefined
  if (!FAIR_HOLLOW_CERT || !FAIR_HOLLOW_KEY)
    return { words: 'FAIR_HOLLOW_CERT and FAIR_HOLLOW_KEY go together: name the files of both. Nothing was started.' }
  try {
    return { cert: readFileSync(FAIR_HOLLOW_CERT, 'utf8'), key: readFileSync(FAIR_HOLLOW_KEY, 'utf8') }
  }
  catch (error) {
    const { path = '', code = '' } = error as NodeJS.ErrnoException
    return { words: `${path} cannot be read (${code}). Name a certificate and its key that you may read. Nothing was started.` }
  }
}

function refuse(response: ServerResponse, status: number, words: string): void {
  response.writeHead(status, { 'Content-Type': 'application/json', 'Cache-Control': 'no-store' })
  response.end(JSON.stringify({ error: true, statusCode: status, message: words }))
}

/** Whether a machine of the home network was let in; while the records are barred nobody can be. */
function isLetIn(request: IncomingMessage): boolean {
  const token = tokenIn(request)
  return token !== undefined && devices().knownBy(token, new Date()) !== undefined
}

/** The gate before the program at a door. */
function gated(door: Door, phrase: string | undefined, program: RequestListener): RequestListener {
  return (request, response) => {
    for (const [name, value] of Object.entries(headsFor(request.url))) response.setHeader(name, value)
    cameBy(request, door)
    const path = pathOf(request.url)
    watchdog.began(request, `${request.method} ${path?.replace(/[^/\w.-]/g, '').slice(0, 60)}`)
    response.once('close', () => watchdog.ended(request))
    const passing = passes(request, door)
    if (!passing.passes) return refuse(response, passing.status, passing.words)
    if (!door.inHouse) return program(request, response)
    try {
      if (isLetIn(request)) return program(request, response)
      if (path === LET_IN) return void letIn(request, response, door, phrase).catch(() => response.destroy())
    }
    catch (error) {
      return refuse(response, 503, error instanceof RecordsTrouble ? error.words : 'The records cannot be read now. Try again in a while.')
    }
    if (isRecords(path) || request.method !== 'GET') return refuse(response, 401, 'This machine has not been let in.')
    response.writeHead(303, { 'Location': LET_IN, 'Cache-Control': 'no-store' })
    response.end()
  }
}

/** A server that sheds what dawdles: heads, bodies and idle lines have their time. */
function serverFor(listener: RequestListener, certificate: Certificate | undefined): Server {
  const options = { headersTimeout: 15_000, requestTimeout: 60_000, keepAliveTimeout: 30_000, maxHeaderSize: 16_384 }
  return certificate ? createSecureServer({ ...options, ...certificate }, listener) : createServer(options, listener)
}

function listening(server: Server, host: string, port: number): Promise<Server> {
  return new Promise((resolve, reject) => {
    server.once('error', reject)
    server.listen(port, host, () => {
      server.off('error', reject)
      // What goes wrong on one line is that line's end, not the program's.
      server.on('clientError', (_, socket) => socket.destroy())
      resolve(server)
    })
  })
}

/** Everything that the program listens with. */
export interface Listening {
  readonly port: number
  readonly certificate: Certificate | undefined
  readonly program: RequestListener
}

/** Listens at one door. */
export function listenAt(door: Door, { certificate, program }: Listening, phrase?: string): Promise<Server> {
  return listening(serverFor(gated(door, phrase, program), certificate), door.address, door.port)
}

/** Why listening failed, in words. */
export function listenWords(error: unknown, { address, port }: Pick<Door, 'address' | 'port'>): string {
  const where = `${inAddress(address)}:${port}`
  switch ((error as NodeJS.ErrnoException).code) {
    case 'EADDRINUSE':
      return `Another program listens at ${where} already; perhaps Fair Hollow runs in another window. Close it, or choose another port: `
        + `PORT=${port === 65_535 ? port - 1 : port + 1} npm start. Nothing was changed.`
    case 'EACCES':
      return `Port ${port} may not be used by everybody on this machine. Choose one above 1023: PORT=3000 npm start. Nothing was changed.`
    case 'EADDRNOTAVAIL':
    case 'ENOTFOUND':
    case 'EAI_AGAIN':
      return `HOST is "${address}", which is not an address of this machine. Leave it out, or name one that is. Nothing was changed.`
    default:
      return `The program cannot listen at ${where} (${(error as NodeJS.ErrnoException).code ?? 'unknown'}). Nothing was changed.`
  }
}

let said: Listening | undefined
const inHouse = new Map<string, Server>()

/** The certificate that the doors of the home network would be opened with. */
export function couldListen(listening: Listening): void {
  said = listening
}

/** The addresses at which phones reach the program now. */
export function openAddresses(): string[] {
  const { port, certificate } = said ?? { port: 0, certificate: undefined }
  return [...inHouse.keys()].map(address => `${certificate ? 'https' : 'http'}://${inAddress(address)}:${port}`)
}

/** Opens the program to the home network, at each of this machine's addresses in it; returns those at which it could be. */
export async function openToHouse(): Promise<string[]> {
  if (said) {
    for (const address of homeAddresses().filter(one => !inHouse.has(one))) {
      const door: Door = { inHouse: true, address, port: said.port, secure: said.certificate !== undefined }
      await listenAt(door, said).then(server => inHouse.set(address, server), () => undefined)
    }
  }
  return openAddresses()
}

/** Closes it to the home network again; who is let in stays known. */
export function closeToHouse(): void {
  for (const server of inHouse.values()) {
    server.close()
    server.closeAllConnections()
  }
  inHouse.clear()
}
