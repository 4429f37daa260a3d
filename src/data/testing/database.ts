import pg from 'pg'

/** A new, empty database on the server of the tests. @returns its address */
export async function databaseOfItsOwn(): Promise<string> {
  const server = process.env.ISLANDS_TEST_SERVER!
  const name = `test_${crypto.randomUUID().replaceAll('-', '')}`
  const client = new pg.Client({ connectionString: server })
  await client.connect()
  await client.query(`create database ${name}`)
  await client.end()
  return Object.assign(new URL(server), { pathname: `/${name}` }).href
}
