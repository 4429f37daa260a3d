import { connect, createServer, type AddressInfo, type Server, type Socket } from 'node:net'

/** A device's own line to a server: it can be cut and joined again while every other device keeps its own. */
export class Line {
  private cut = false
  private readonly sockets = new Set<Socket>()

  private constructor(
    private readonly server: Server,
    readonly url: string,
  ) {}

  static async to(serverUrl: string): Promise<Line> {
    const { port } = new URL(serverUrl)
    const made: { line?: Line } = {}
    const server = createServer((near) => {
      const line = made.line!
      if (line.cut) {
        near.destroy()
        return
      }
      const far = connect(Number(port), '127.0.0.1')
      for (const [one, other] of [
        [near, far],
        [far, near],
      ]) {
        line.sockets.add(one)
        one.on('error', () => other.destroy())
        one.on('close', () => {
          line.sockets.delete(one)
          other.destroy()
        })
        one.pipe(other)
      }
    })
    await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve))
    const address = server.address() as AddressInfo
    made.line = new Line(server, `http://127.0.0.1:${address.port}`)
    return made.line
  }

  break() {
    this.cut = true
    for (const socket of this.sockets) socket.destroy()
  }

  join() {
    this.cut = false
  }

  close() {
    this.break()
    this.server.close()
  }
}
