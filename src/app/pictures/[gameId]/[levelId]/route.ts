import { gameIdSchema, gameOf } from '@/core/games'
import { svgOf } from '@/core/drawing/svg'
import { picturesOf } from '@/server/pictures'

/** The picture of a game at a level: of rules alone, the same for everybody. */
export async function GET(
  _request: Request,
  { params }: { params: Promise<{ gameId: string; levelId: string }> },
) {
  const { gameId, levelId } = await params
  const id = gameIdSchema.safeParse(gameId)
  const level = id.success ? gameOf(id.data).levels.find((one) => one.id === levelId) : undefined
  if (!id.success || !level) return new Response('There is no such picture.', { status: 404 })
  const game = gameOf(id.data)
  const pictures = await picturesOf(game.id, level.params, true)
  if (!pictures) return new Response('This picture takes too long to find.', { status: 503 })
  const { layout, scene } = pictures.table
  return new Response(svgOf(layout, scene, `${game.title}, ${level.title}`), {
    headers: { 'Content-Type': 'image/svg+xml; charset=utf-8', 'Cache-Control': 'public, max-age=3600' },
  })
}
