import { isIP } from 'node:net'
import { networkInterfaces } from 'node:os'

/*
 * Where the program is reached: which names and addresses are its own, so that a stranger's name for it is turned away.
 */

/** Whether an address or name can only mean this very machine. */
export function isLoopback(host: string): boolean {
  return host === 'localhost' || host.endsWith('.localhost') || host === '::1' || /^127(\.\d{1,3}){3}$/.test(host)
}

/** A host as it stands in an address: IPv6 in brackets. */
export function inAddress(host: string): string {
  return isIP(host) === 6 ? `[${host}]` : host
}

/** Name and port of a Host header or of an Origin's host; nothing if it is neither. */
export function hostOf(header: string | undefined): { readonly name: string, readonly port: number | undefined } | undefined {
  const found = /^(\[[0-9a-f:.]+\]|[a-z0-9.-]+)(?::(\d{1,5}))?$/i.exec(header ?? '')
  if (!found) return undefined
  return { name: found[1]!.replace(/^\[|\]$/g, '').toLowerCase(), port: found[2] === undefined ? undefined : Number(found[2]) }
}

/** Addresses of this machine in the home network; or those that FAIR_HOLLOW_ADDRESSES names, where they cannot be found. */
export function homeAddresses(): string[] {
  const named = process.env.FAIR_HOLLOW_ADDRESSES
  if (named) return named.split(',').map(one => one.trim()).filter(one => isIP(one) !== 0)
  return Object.values(networkInterfaces())
    .flatMap(all => all ?? [])
    .filter(({ internal, family }) => !internal && family === 'IPv4')
    .map(({ address }) => address)
}

/** Names by which the program may be called besides its addresses: those that FAIR_HOLLOW_NAMES lists. */
export function ownNames(): readonly string[] {
  return (process.env.FAIR_HOLLOW_NAMES ?? '').split(',').map(one => one.trim().toLowerCase()).filter(one => one !== '')
}

/** Host and port asked for, or what is wrong with them. */
export function askedFor(environment: NodeJS.ProcessEnv): { readonly host: string, readonly port: number } | { readonly words: string } {
  const { PORT = '', HOST = '' } = environment
  const port = PORT === '' ? 3000 : Number(PORT)
  if (!/^\d*$/.test(PORT) || !Number.isInteger(port) || port < 1 || port > 65_535)
    return { words: `PORT is "${PORT}": it must be a whole number from 1 to 65535, such as 3000. Nothing was started.` }
  const host = HOST === '' ? '127.0.0.1' : HOST
  if (isIP(host) === 0 && !/^[a-z0-9]([a-z0-9.-]*[a-z0-9])?$/i.test(host))
    return { words: `HOST is "${HOST}": it must be an address of this machine, such as 127.0.0.1, or be left out. Nothing was started.` }
  return { host, port }
}
