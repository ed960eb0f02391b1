/** How wide each lane of a board is: people share what is left beside the equipment. */
import { computed } from 'vue'

import type { Board } from '../../api/types'

export const GUTTER_PX = 52
export const GAP_PX = 3
const PERSON_PX = 90
const STATION_PX = 40
const TRACK_PX = 15
const WIDEST_PX = 84

export const isPerson = (lane: { kind: string }) => lane.kind === 'person'

export function useLanes(lanes: () => Board['lanes'], room: () => number) {
  const sizes = computed(() => {
    const own = lanes().map((one) => ({
      person: isPerson(one),
      px: isPerson(one)
        ? PERSON_PX
        : Math.max(STATION_PX, Math.min(WIDEST_PX, TRACK_PX * one.tracks)),
    }))
    const people = own.filter((one) => one.person).length
    const left = room() - GUTTER_PX - own.reduce((sum, one) => sum + one.px + GAP_PX, 0)
    const more = people && left > 0 ? left / people : 0
    return own.map((one) => ({ ...one, px: one.person ? one.px + more : one.px }))
  })
  const wide = (every: { px: number }[]) => every.reduce((sum, one) => sum + one.px + GAP_PX, 0)
  return {
    columns: computed(() => sizes.value.map((one) => `${one.px}px`).join(' ')),
    people: computed(() => wide(sizes.value.filter((one) => one.person))),
    whole: computed(() => GUTTER_PX + wide(sizes.value) - GAP_PX),
  }
}
