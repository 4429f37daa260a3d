import { games } from '@/core/games'
import { analyse, analyseInputSchema } from '@/core/analysis/analyse'
const only = process.argv[2]
let total = 0
for (const g of games) {
  if (only && g.id !== only) continue
  for (const l of g.levels) {
    const players = Math.max(g.players.min, Math.min(2, g.players.max))
    const s = performance.now()
    try {
      const a = analyse(analyseInputSchema.parse({ game: g.id, level: l.id, players, games: 1000 }))
      const ms = performance.now() - s
      total += ms
      console.log(
        g.id.padEnd(15),
        l.id.padEnd(16),
        a.method.padEnd(9),
        String(a.minutes?.method ?? '-')
          .slice(0, 5)
          .padEnd(6),
        'goes',
        (a.set?.goes?.mean ?? NaN).toFixed(2).padStart(7),
        'solo',
        (a.solo?.goes ?? NaN).toFixed(2).padStart(7),
        'dead',
        (a.set?.deadShare ?? NaN).toFixed(3),
        'fp',
        a.set?.firstPlayerWins?.toFixed(3) ?? '  -  ',
        'min',
        (a.minutes?.mean ?? NaN).toFixed(1).padStart(5),
        'it/10',
        (a.practice?.itemsPerChildPer10Min ?? NaN).toFixed(1).padStart(5),
        'wait',
        (a.practice?.waitingShare ?? NaN).toFixed(2),
        'to',
        a.practice?.to,
        '/',
        l.to,
        a.reason ?? '',
        ms.toFixed(0) + 'ms',
        ms > 300 ? '<<<<<' : '',
      )
    } catch (e) {
      console.log(g.id, l.id, 'FAIL', (e as Error).stack?.split('\n').slice(0, 4).join(' | '))
    }
  }
}
console.log('total', total.toFixed(0))
