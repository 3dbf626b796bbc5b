import type { Port } from './protocol'

/** Tells a worker the port by which it reaches another one. */
type Connection = { readonly connect: string; readonly port: MessagePort }
const isConnection = (data: unknown): data is Connection =>
  typeof data === 'object' && data !== null && 'connect' in data

type Joined = Pick<Worker, 'postMessage'>

/** Joins two workers: they talk to each other from now on, not through the page. @param name what the first calls the second */
export function connect(first: Joined, second: Joined, name: string): void {
  const { port1, port2 } = new MessageChannel()
  first.postMessage({ connect: name, port: port1 } satisfies Connection, [port1])
  second.postMessage({ connect: name, port: port2 } satisfies Connection, [port2])
}

/** Hears of ports in a worker. @param take each with its name; it is open already */
export function onConnect(scope: Port, take: (name: string, port: Port) => void): void {
  scope.addEventListener('message', ({ data }: MessageEvent<unknown>) => {
    if (!isConnection(data)) return
    data.port.start()
    take(data.connect, data.port as unknown as Port)
  })
}
