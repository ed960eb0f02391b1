/** A shape read from a drawing or a scan; nothing is kept. */
import { api, Problem, take } from '../api/client'
import type { MoldShape } from '../api/types'

export async function shapeOfPath(
  path: string,
  lengthMm: number,
  heightMm: number,
): Promise<MoldShape> {
  const body = { path, length_mm: lengthMm, height_mm: heightMm }
  return (await take(api.POST('/api/molds/outline', { body }))).shape
}

export async function shapeOfMesh(file: File | null, unit: string): Promise<MoldShape> {
  if (!file) throw new Problem(0, 'Choose a file first.')
  const asked = api.POST('/api/molds/scan', {
    params: { query: { unit } },
    body: file as never,
    bodySerializer: (body: unknown) => body as BodyInit,
    headers: { 'Content-Type': 'application/octet-stream' },
  })
  return (await take(asked)).shape
}
