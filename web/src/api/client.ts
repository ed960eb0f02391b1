/** The one way to the server: typed requests whose refusals are thrown as Problems. */
import createClient from 'openapi-fetch'

import type { components, paths } from './schema'
import { noteAway } from './away'
import { signedOut } from './signedOut'
import { hear } from './version'

type ProblemOut = components['schemas']['ProblemOut']
export type FieldError = components['schemas']['FieldError']

/** A refusal of the server (RFC 9457), or no answer at all (status 0). */
export class Problem extends Error {
  constructor(
    readonly status: number,
    readonly detail: string,
    readonly errors: FieldError[] = [],
    /** Where a row was changed meanwhile: what it is now, and who did it. */
    readonly stale: Partial<ProblemOut> = {},
  ) {
    super(detail)
  }

  /** No answer of the kitchen's: it is away, and asked again by itself. */
  get isSilence(): boolean {
    return this.status === 0 || this.status >= 500
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
  responses: {
    200: { content: { 'application/json': unknown } }
    default: { content: { 'application/problem+json': ProblemOut } }
  }
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
    onResponse({ response }) {
      if (response.headers.has('Kept')) noteAway()
      else hear(response)
    },
  })
}

interface Answer<T> {
  data?: T
  error?: ProblemOut
  response: Response
}

/** The data of an answer; anything but a success is thrown. */
export async function take<T>(answer: Promise<Answer<T>>): Promise<T> {
  let got: Answer<T>
  try {
    got = await answer
  } catch {
    noteAway()
    throw new Problem(0, 'The kitchen server does not answer. What you see may be old.')
  }
  if (!got.response.ok) throw problemOf(got.response.status, got.error)
  return got.data as T
}

/** The kitchen's database is away, or what stands before it finds nobody. */
const AWAY = new Set([502, 503, 504])

/** What stands before the server may refuse in words of its own, or in none. */
function problemOf(status: number, said: Partial<ProblemOut> | string = {}): Problem {
  const told = typeof said === 'string' ? {} : said
  if (status === 401) signedOut.value = true
  if (AWAY.has(status)) noteAway()
  return new Problem(status, told.detail ?? `The server answered ${status}.`, told.errors, told)
}

/** A refusal that was caught; what is none is a fault of ours, and goes on. */
export function refusalOf(error: unknown): Problem {
  if (!(error instanceof Problem)) throw error
  return error
}
