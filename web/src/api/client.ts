/** The one way to the server: typed requests whose refusals are thrown as Problems. */
import createClient from 'openapi-fetch'

import type { paths } from './schema'

export interface FieldError {
  field: string
  message: string
}

/** A refusal of the server (RFC 9457), or no answer at all (status 0). */
export class Problem extends Error {
  constructor(
    readonly status: number,
    readonly detail: string,
    readonly errors: FieldError[] = [],
    readonly extra: Record<string, unknown> = {},
  ) {
    super(detail)
  }

  /** The message for one field, if it is at fault. */
  at(field: string): string | undefined {
    return this.errors.find((one) => one.field === field)?.message
  }
}

function csrfToken(): string {
  return /(?:^|; )csrftoken=([^;]+)/.exec(document.cookie)?.[1] ?? ''
}

const TO = { baseUrl: location.origin, fetch: (request: Request) => fetch(request) }
export const api = createClient<paths>(TO)

interface Anything {
  parameters: { query?: Record<string, unknown>; path?: Record<string, string> }
  requestBody?: { content: { 'application/json': unknown } }
  responses: { 200: { content: { 'application/json': unknown } } }
}
/** The same for a path that is put together, which no type can know: who asks says what comes. */
export const anywhere =
  createClient<Record<string, { get: Anything; post: Anything; put: Anything }>>(TO)

for (const client of [api, anywhere]) {
  client.use({
    onRequest({ request }) {
      request.headers.set('X-CSRFToken', csrfToken())
      return request
    },
  })
}

interface Answer<T> {
  data?: T
  error?: unknown
  response: Response
}

/** The data of an answer; anything but a success is thrown. */
export async function take<T>(answer: Promise<Answer<T>>): Promise<T> {
  let got: Answer<T>
  try {
    got = await answer
  } catch {
    throw new Problem(0, 'The kitchen server does not answer. What you see may be old.')
  }
  if (!got.response.ok) throw problemOf(got.response.status, got.error)
  return got.data as T
}

function problemOf(status: number, body: unknown): Problem {
  const known = (typeof body === 'object' && body ? body : {}) as Record<string, unknown>
  const detail = typeof known.detail === 'string' ? known.detail : `The server answered ${status}.`
  const errors = Array.isArray(known.errors) ? (known.errors as FieldError[]) : []
  return new Problem(status, detail, errors, known)
}
