import { Problem, routes, type Route } from '@still-pine/contract'
import { z } from 'zod'

type Json = Record<string, unknown>

// OpenAPI 3.1 takes JSON Schema 2020-12 as it is, which Zod writes itself.
const schema = (type: z.ZodType, io: 'input' | 'output'): Json => {
  const { $schema: _dialect, ...rest } = z.toJSONSchema(type, { io, unrepresentable: 'any' }) as Json
  return rest
}

const parameters = (type: z.ZodType, where: 'path' | 'query'): Json[] =>
  Object.entries((type as z.ZodObject).shape).map(([name, part]) => ({
    name,
    in: where,
    required: where === 'path',
    schema: schema(part as z.ZodType, 'input'),
  }))

const isEmpty = (type: z.ZodType): boolean =>
  Object.keys((type as z.ZodObject).shape ?? { some: 1 }).length === 0

const operation = (name: string, route: Route): Json => ({
  operationId: name,
  summary: route.summary,
  description: `Needs: ${route.needs}.`,
  parameters: [...parameters(route.params, 'path'), ...parameters(route.query, 'query')],
  ...(isEmpty(route.body)
    ? {}
    : {
        requestBody: {
          required: true,
          content: { 'application/json': { schema: schema(route.body, 'input') } },
        },
      }),
  responses: {
    200: { description: 'Done', content: { 'application/json': { schema: schema(route.reply, 'output') } } },
    default: {
      description: 'A problem, with a sentence to act on (RFC 9457)',
      content: { 'application/problem+json': { schema: { $ref: '#/components/schemas/Problem' } } },
    },
  },
})

/** The API's own description, made from the same schemas that check it. */
export const openApi = (version: string): Json => {
  const paths: Record<string, Json> = {}
  for (const [name, route] of Object.entries(routes) as [string, Route][])
    paths[route.path] = { ...paths[route.path], [route.method]: operation(name, route) }
  return {
    openapi: '3.1.0',
    info: {
      title: 'Still Pine',
      version,
      description: 'Plans, logs and judges the starting of young horses.',
    },
    servers: [{ url: '/api/v1' }],
    paths,
    components: { schemas: { Problem: schema(Problem, 'output') } },
  }
}
