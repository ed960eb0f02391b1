/** What earlier visits could not save: sent when one is back, told where it cannot be. */
import { computed, shallowRef } from 'vue'

import { AGAIN_MS } from './again'
import { Problem } from './client'
import { requests, type Shelf, useReread } from './shelves'
import { claim, dropAt, everyUnsaved, type Kept } from './unsaved'

export interface Left {
  place: string
  shelf: Shelf
  id: string
  name: string
  problem: Problem
}

const left = shallowRef<Left[]>([])
let later: ReturnType<typeof setTimeout> | undefined

function told(kept: Kept, problem: Problem): Left {
  const { name } = kept.data as { name?: string }
  const { place, shelf, id } = kept
  return { place, shelf, id, name: name ?? shelf, problem }
}

export function useLeft() {
  const reread = useReread()

  /** Send one unless a page is at work on it; what stands against it, if anything does. */
  async function send(kept: Kept): Promise<Problem | null> {
    const { place, shelf, id, revision, data } = kept
    const free = await claim(place)
    if (!free) return null
    try {
      await requests(shelf).change(id, revision, data as never)
      await dropAt(place)
      await reread(shelf)
      return null
    } catch (error) {
      if (error instanceof Problem) return error
      throw error
    } finally {
      free()
    }
  }

  async function sendAll() {
    const waiting: Left[] = []
    for (const kept of await everyUnsaved()) {
      const problem = await send(kept)
      if (problem?.isSilence || problem?.status === 401) {
        clearTimeout(later)
        later = setTimeout(() => void sendAll(), AGAIN_MS)
        break
      }
      if (problem) waiting.push(told(kept, problem))
    }
    left.value = waiting
  }

  async function letGo({ place }: Left) {
    await dropAt(place)
    left.value = left.value.filter((one) => one.place !== place)
  }

  return { left: computed(() => left.value), sendAll, letGo }
}
