import { routes, type RouteName } from '@still-pine/contract'

interface Found {
  readonly name: RouteName
  readonly params: Readonly<Record<string, string>>
  readonly query: Readonly<Record<string, string>>
}

const PARAMETER = /^\{(\w+)\}$/

const parametersIn = (path: string, asked: readonly string[]): Record<string, string> | null => {
  const parts = path.split('/').slice(1)
  if (parts.length !== asked.length) return null
  const params: Record<string, string> = {}
  for (const [i, part] of parts.entries()) {
    const name = PARAMETER.exec(part)?.[1]
    if (name === undefined && part !== asked[i]) return null
    if (name !== undefined) params[name] = decodeURIComponent(asked[i]!)
  }
  return params
}

/** The route that an address under `/api/v1/` is read by, with what the address names; `null` where there is none. */
export const readRouteAt = (address: string): Found | null => {
  const [path = '', query = ''] = address.split('?')
  const asked = path.split('/')
  for (const [name, route] of Object.entries(routes)) {
    const params = route.method === 'get' ? parametersIn(route.path, asked) : null
    if (params)
      return { name: name as RouteName, params, query: Object.fromEntries(new URLSearchParams(query)) }
  }
  return null
}
