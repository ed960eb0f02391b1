import { afterEach, describe, expect, it, vi } from 'vitest'

import { json, serveWith } from '../testing/kitchen'
import { api, Problem, take } from './client'

afterEach(() => {
  vi.unstubAllGlobals()
  document.cookie = 'csrftoken=; expires=Thu, 01 Jan 1970 00:00:00 GMT'
})

describe('take', () => {
  it('hands on the data of a success', async () => {
    serveWith(() => json(200, { person: null, demo_people: [], first_visit: true }))
    await expect(take(api.GET('/api/session'))).resolves.toMatchObject({ first_visit: true })
  })

  it('throws a refusal with its fields and whatever else came along', async () => {
    const errors = [{ field: 'parts.2.height_mm', message: 'Height must be more than 0 mm.' }]
    serveWith(() => json(422, { detail: 'Some entries need a change.', errors, revision: 7 }))
    const problem = await take(api.GET('/api/session')).catch((error: unknown) => error)
    expect(problem).toBeInstanceOf(Problem)
    expect(problem).toMatchObject({ status: 422, stale: { revision: 7 } })
    expect((problem as Problem).at('parts.2.height_mm')).toContain('more than')
    expect((problem as Problem).at('name')).toBeUndefined()
  })

  it('throws an empty failure too', async () => {
    serveWith(() => new Response(null, { status: 500, headers: { 'Content-Length': '0' } }))
    await expect(take(api.GET('/api/session'))).rejects.toMatchObject({ status: 500 })
  })

  it('tells silence apart from a refusal', async () => {
    serveWith(() => {
      throw new TypeError('network')
    })
    await expect(take(api.GET('/api/session'))).rejects.toMatchObject({ status: 0 })
  })

  it('sends the token of the page with every request', async () => {
    let sent: string | null = null
    serveWith((request) => {
      sent = request.headers.get('X-CSRFToken')
      return json(200, {})
    })
    document.cookie = 'csrftoken=abc123'
    await take(api.GET('/api/session'))
    expect(sent).toBe('abc123')
  })
})
