import { createHash } from 'node:crypto'
import type { IncomingMessage, ServerResponse } from 'node:http'
import { setTimeout as rest } from 'node:timers/promises'
import { UNUSED_DAYS } from '../db/devices'
import { devices } from '../db/repositories'
import { contentPolicy, cookieOf, type Door } from './gate'
import { Pairing, sameWord, type TryResult } from './pairing'
import { TryLimiter } from './tryLimiter'

/*
 * The page that a machine of the home network sees before it is let in: it asks for the six letters, or for the passphrase where the
 * program was opened by hand. It is whole in itself, since nothing else is answered yet.
 */

export const LET_IN = '/let-in'

/** The pairing that the maker opens from the page. */
export const pairing = new Pairing()
/** Where the program was opened with a passphrase, it lets in for as long as it runs; guessing is made slow. */
const slowed = new TryLimiter()

/** Letters that the phone's camera read come behind the sign that browsers do not send. */
const SCRIPT = 'const c=location.hash.slice(1);if(c){document.querySelector("input[name=code]").value=c;'
  + 'history.replaceState(null,"",location.pathname)}'
const HASH = `'sha256-${createHash('sha256').update(SCRIPT).digest('base64')}'`

const STYLE = 'body{font:18px/1.5 system-ui,sans-serif;margin:0;background:#f6f0e3;color:#2b2a28}'
  + 'main{max-width:24rem;margin:12vh auto;padding:0 1.4rem}h1{font-size:1.5rem;margin:0 0 .4rem}'
  + 'label{display:block;font-weight:600;margin-top:1rem}'
  + 'input{font:inherit;width:100%;box-sizing:border-box;padding:.7rem;border:1px solid #6d665a;border-radius:.4rem;'
  + 'background:#fffdf8;color:inherit}'
  + 'input[name=code]{letter-spacing:.3em;text-transform:uppercase}'
  + 'button{font:inherit;font-weight:600;margin-top:1.2rem;padding:.7rem 1.4rem;border:0;border-radius:.4rem;background:#7c1f4e;color:#fff}'
  + 'p.no{border-left:4px solid #7c1f4e;padding-left:.8rem}'
  + '@media(prefers-color-scheme:dark){body{background:#211f1c;color:#f3ebdc}input{background:#2b2825;border-color:#a59b8a}'
  + 'button{background:#e9a9c6;color:#2b2a28}}'

/** Result of a try; of one that was not looked at, after how many seconds another is. */
type TryAnswer = Exclude<TryResult, 'let-in'> | { readonly waitS: number }

function wordsOf(said: TryAnswer): string {
  if (typeof said === 'object')
    return `There were many wrong tries from your address. Wait ${said.waitS} ${said.waitS === 1 ? 'second' : 'seconds'}, and try again.`
  return said === 'wrong'
    ? 'That is not it. Look again, and try once more.'
    : 'The door is shut. Choose "Use it on my phone" once more on the machine that Fair Hollow runs on, for new letters.'
}

function pageOf(byPhrase: boolean, said?: TryAnswer): string {
  const asks = byPhrase
    ? '<label for="c">The passphrase</label><input id="c" name="code" type="password" autocomplete="current-password" required>'
    : '<label for="c">The six letters on the screen</label><input id="c" name="code" autocomplete="off" autocapitalize="characters" '
      + 'spellcheck="false" maxlength="12" required>'
  return `<!doctype html><html lang="en"><meta charset="utf-8"><meta name="viewport" content="width=device-width,initial-scale=1">`
    + `<title>Fair Hollow: let this machine in</title><style>${STYLE}</style><main><h1>Fair Hollow</h1>`
    + `<p>This machine has not been let in yet.</p>`
    + `${said ? `<p class="no" role="alert">${wordsOf(said)}</p>` : ''}<form method="post" action="${LET_IN}">${asks}`
    + '<label for="n">What to call this machine</label><input id="n" name="name" value="my phone" maxlength="40">'
    + `<button>Let me in</button></form></main><script>${SCRIPT}</script></html>`
}

function answer(response: ServerResponse, status: number, body: string): void {
  response.writeHead(status, {
    'Content-Type': 'text/html; charset=utf-8', 'Cache-Control': 'no-store', 'Content-Security-Policy': contentPolicy([HASH]),
    // Without it the form's own browser would send it as from nowhere.
    'Referrer-Policy': 'same-origin',
  })
  response.end(body)
}

/** The few bytes of a form; nothing of more than any form has. */
async function formOf(request: IncomingMessage): Promise<URLSearchParams | undefined> {
  let text = ''
  for await (const chunk of request as AsyncIterable<Buffer>) if (text.length < 2_000) text += chunk.toString('utf8')
  return text.length < 2_000 ? new URLSearchParams(text) : undefined
}

/** Tries a passphrase from an address, slowly. */
async function tryPhrase(given: string, phrase: string, address: string): Promise<'let-in' | TryAnswer> {
  const now = Date.now()
  const waitMs = slowed.waitMs(address, now)
  if (waitMs > 0) return { waitS: Math.ceil(waitMs / 1000) }
  slowed.begin(address, now)
  await rest(slowed.lookMs(now))
  if (!sameWord(given, phrase)) return 'wrong'
  slowed.right(address)
  return 'let-in'
}

/** Makes guessing the letters slow, whoever guesses. */
const TRY_MS = 700

async function tryLetters(given: string, address: string, now: number): Promise<TryResult> {
  await rest(TRY_MS)
  return pairing.try(given, address, now)
}

/** Answers a machine that was not let in: with the page that asks, or with a token of its own. */
export async function letIn(request: IncomingMessage, response: ServerResponse, door: Door, phrase: string | undefined): Promise<void> {
  const byPhrase = phrase !== undefined
  if (request.method !== 'POST') return answer(response, 200, pageOf(byPhrase))
  const form = await formOf(request)
  const code = form?.get('code') ?? ''
  const address = request.socket.remoteAddress ?? ''
  const now = new Date()
  const said = byPhrase ? await tryPhrase(code, phrase, address) : await tryLetters(code, address, now.getTime())
  if (said !== 'let-in') {
    if (typeof said === 'object') response.setHeader('Retry-After', String(said.waitS))
    return answer(response, said === 'wrong' ? 403 : 429, pageOf(byPhrase, said))
  }
  const { token } = devices().pair((form?.get('name') ?? '').trim().slice(0, 40) || 'a machine', now)
  response.writeHead(303, { 'Location': '/', 'Set-Cookie': cookieOf(token, door, UNUSED_DAYS), 'Cache-Control': 'no-store' })
  response.end()
}
