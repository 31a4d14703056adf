import { createServer, type IncomingMessage } from 'node:http'
import Database from 'better-sqlite3'

/*
 * Two servers with nothing around them, in a process of their own as ours is. The first saves durably by bare better-sqlite3: a body
 * parsed, a row updated in a transaction of its own, an answer. The second answers the bytes that it was taught by a POST to the same path.
 * Arguments: the file of the first, the text that its rows begin with, the two ports. A message says that both listen.
 */

const [file, text, savesPort, answersPort] = process.argv.slice(2) as [string, string, string, string]

const db = new Database(file)
db.pragma('journal_mode = WAL')
db.pragma('synchronous = FULL')
db.exec('CREATE TABLE designs (id TEXT PRIMARY KEY, document TEXT NOT NULL, revision INTEGER NOT NULL) STRICT')
for (let i = 0; i < 16; i++) db.prepare('INSERT INTO designs VALUES (?, ?, 1)').run(String(i), text)
const update = db.prepare('UPDATE designs SET document = ?, revision = revision + 1 WHERE id = ?')

async function bodyOf(asked: IncomingMessage): Promise<Buffer> {
  const chunks: Buffer[] = []
  for await (const chunk of asked) chunks.push(chunk as Buffer)
  return Buffer.concat(chunks)
}

const saves = createServer((asked, answer) => void bodyOf(asked).then((body) => {
  const { document } = JSON.parse(body.toString()) as { document: object }
  update.run(JSON.stringify(document), asked.url!.slice(1))
  answer.end('{"revision":2}')
}))

const taught = new Map<string, Buffer>()
const answers = createServer((asked, answer) => {
  const known = taught.get(asked.url!)
  if (asked.method === 'GET' && known) return void answer.end(known)
  void bodyOf(asked).then((body) => {
    if (asked.method === 'POST') taught.set(asked.url!, body)
    answer.end('{"revision":2,"updatedAt":"2026-09-01T12:00:00.000Z"}')
  })
})

saves.listen(Number(savesPort), '127.0.0.1', () => answers.listen(Number(answersPort), '127.0.0.1', () => process.send!('ready')))
