import { z } from 'zod'
import { games, type AnyGame } from '@/core/games'

const [from, to] = ['<!-- games: written by `npm run document` -->', '<!-- end of games -->']

interface Property {
  type?: string
  enum?: unknown[]
  const?: unknown
  minimum?: number
  maximum?: number
  default?: unknown
  anyOf?: Property[]
  oneOf?: Property[]
  properties?: Record<string, Property>
  items?: Property
  prefixItems?: Property[]
}

/** The text of the command line's page with the parameters of every game as their schemas stand now. */
export function documented(page: string): string {
  const [before, rest] = page.split(from)
  const after = rest.split(to)[1]
  return `${before}${from}\n\n${games.map(section).join('\n')}\n${to}${after}`
}

function section(game: AnyGame): string {
  const { properties, required = [] } = z.toJSONSchema(game.params, {
    io: 'input',
    unrepresentable: 'any',
  }) as {
    properties: Record<string, Property>
    required?: string[]
  }
  const lines = Object.entries(properties).map(([name, property]) => {
    const given = required.includes(name) ? '' : `, ${JSON.stringify(property.default)} if left out`
    return `- \`${name}\`: ${words(property)}${given}`
  })
  const levels = game.levels.map(({ id }) => `\`${id}\``).join(', ')
  return `### ${game.id}\n\nLevels ${levels}.\n\n${lines.join('\n')}\n`
}

/** What a parameter may be, in a few words. */
function words(property: Property): string {
  const options = property.anyOf ?? property.oneOf
  if (options) return options.map(words).join(' or ')
  if (property.const !== undefined) return `\`${JSON.stringify(property.const)}\``
  if (property.enum) return property.enum.map((value) => `\`${JSON.stringify(value)}\``).join(' or ')
  if (property.properties) {
    const parts = Object.entries(property.properties).map(([name, part]) => `${name}: ${words(part)}`)
    return `{ ${parts.join(', ')} }`
  }
  if (property.prefixItems) return `[ ${property.prefixItems.map(words).join(', ')} ]`
  if (property.items) return `list of ${words(property.items)}`
  if (property.type === 'integer' || property.type === 'number')
    return `${property.minimum ?? '…'} to ${property.maximum ?? '…'}`
  return property.type ?? 'anything'
}
