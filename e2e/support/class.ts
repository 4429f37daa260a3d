import type { Person } from './browser'

/** Makes a class in the browser, as a newcomer does, and says where it is: `/c/ID`. */
export async function makeClass(person: Person, name: string, names: readonly string[]): Promise<string> {
  await person.goTo('/new')
  await person.sees(/class/)
  await person.enter('Name of the class', name)
  await person.choose('Year group', 'Year 1')
  await person.paste('Children', names.join('\n'))
  await person.press(`Create class of ${names.length}`)
  await person.sees(/Nobody is known yet/)
  return new URL(await person.driver.getCurrentUrl()).pathname.split('/').slice(0, 3).join('/')
}

/** From the first proposal of groups to a session that waits to be started. */
export async function toReady(person: Person) {
  await person.press('Use these groups')
  await person.press('To the plan')
  await person.press('Ready')
  await person.sees(/Slot 1 of/)
}
