import { problem } from './problem'

const METHODS = ['GET', 'POST', 'PUT', 'PATCH', 'DELETE'] as const
type Method = (typeof METHODS)[number]
type Handler = () => Response

/** A refusal of each other method, and what is said when it is asked which are taken. @param taken what the address takes */
export function otherMethods<M extends Method>(
  ...taken: M[]
): Record<Exclude<Method, M> | 'OPTIONS', Handler> {
  const headers = {
    Allow: [...taken, ...(taken.some((each) => each === 'GET') ? ['HEAD'] : []), 'OPTIONS'].join(', '),
  }
  const refuse = () => problem(405, `Ask with ${taken.join(' or ')}.`, { headers })
  const others = METHODS.filter((method) => !(taken as readonly Method[]).includes(method))
  return {
    ...(Object.fromEntries(others.map((method) => [method, refuse])) as Record<Exclude<Method, M>, Handler>),
    OPTIONS: () => new Response(null, { status: 204, headers }),
  }
}
