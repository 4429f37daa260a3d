import { answering, askersAtADoor, oddNames, pathOf, read, readers, type Asker } from '../e2e/support/askers'
import { say } from './support'

/** What is tried beside a plain look: another name for the server, another site, another way of asking. */
const ways: [string, RequestInit][] = [
  ['GET', {}],
  ['HEAD', { method: 'HEAD' }],
  ['POST', { method: 'POST', headers: { 'content-type': 'application/json' }, body: '{}' }],
  ['DELETE', { method: 'DELETE' }],
  ['from another site', { method: 'POST', headers: { origin: 'http://elsewhere.example' }, body: '{}' }],
  ['as if passed on', { headers: { 'x-forwarded-for': '127.0.0.1' } }],
  ['as if from here', { headers: { 'x-islands-here': '1', 'x-islands-address': '127.0.0.1' } }],
]

/** Every page and route, asked for by each party in every way: how often a name was told, and to whom it must not be. */
export async function access() {
  const { server, outside, at, cookies } = await askersAtADoor()
  let attempts = 0
  const told: Partial<Record<Asker, number>> = {}
  const wrongly: string[] = []
  const faults: string[] = []
  for (const template of answering('src/app').sort()) {
    say(template)
    // A stream goes on for two seconds, whoever asks: a plain look is enough.
    for (const [way, init] of template.includes('/live') ? ways.slice(0, 1) : ways)
      for (const [asker, cookie] of Object.entries(cookies) as [Asker, string][]) {
        const { status, text } = await read(outside, pathOf(template, at), cookie, init)
        attempts++
        if (status >= 500) faults.push(`${asker} ${way} ${template}`)
        if (!oddNames.some((name) => text.includes(name))) continue
        told[asker] = (told[asker] ?? 0) + 1
        if (!readers[template].includes(asker)) wrongly.push(`${asker} ${way} ${template}`)
      }
  }
  await server.stop()
  return { attempts, pagesAndRoutes: Object.keys(readers).length, told, wrongly, faults }
}
