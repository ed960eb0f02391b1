/** Batches that weigh the same stand in one column. */
import type { MadeFormula } from '../api/types'

type Batch = MadeFormula['batches'][number]

/** '1–3, 5' */
export function spans(numbers: number[]): string {
  const runs: [number, number][] = []
  for (const one of numbers) {
    const last = runs.at(-1)
    if (last && one === last[1] + 1) last[1] = one
    else runs.push([one, one])
  }
  return runs.map(([a, b]) => (a === b ? `${a}` : `${a}–${b}`)).join(', ')
}

export function columnsOf(batches: Batch[]): { key: number; batch: Batch; title: string }[] {
  const found = new Map<string, { batch: Batch; numbers: number[] }>()
  batches.forEach((batch, at) => {
    const key = JSON.stringify(batch.lines)
    const same = found.get(key)
    if (same) same.numbers.push(at + 1)
    else found.set(key, { batch, numbers: [at + 1] })
  })
  return [...found.values()].map(({ batch, numbers }) => ({
    key: numbers[0] ?? 0,
    batch,
    title: `${numbers.length === 1 ? 'batch' : 'batches'} ${spans(numbers)}`,
  }))
}

export const feeds = (batch: Batch) =>
  batch.feeds.map((one) => (one.count === 1 ? one.name : `${one.count} × ${one.name}`)).join(', ')

export const chunks = <T>(all: T[], most: number): T[][] =>
  all.length ? [all.slice(0, most), ...chunks(all.slice(most), most)] : []
