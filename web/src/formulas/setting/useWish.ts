/** What is wished of a formula that is not there yet: its job, and every choice in it. */
import { computed, ref, watch } from 'vue'

import { house } from '../../api/house'
import { useFamilies, type Wish } from './useSetting'

export function useWish() {
  const { families } = useFamilies()
  const familyKey = ref('')
  const family = computed(
    () => families.value.find((one) => one.key === familyKey.value) ?? families.value[0],
  )
  const jobKey = ref('')
  const job = computed(
    () => family.value?.jobs.find((one) => one.key === jobKey.value) ?? family.value?.jobs[0],
  )
  const picks = ref<Record<string, string>>({})
  const without = ref<string[]>([])
  const { wish: fields } = house.value.formulas
  const fresh = () => Object.fromEntries(fields.map((one) => [one.name, one.first]))
  const wished = ref<Record<string, number | null>>(fresh())
  const way = ref('')
  watch(
    () => job.value?.key,
    () => {
      picks.value = {}
      without.value = []
      wished.value = { ...fresh(), finished_g: wished.value.finished_g ?? null }
      way.value = ''
    },
  )
  const wish = (): Wish | null =>
    job.value
      ? {
          job: job.value.key,
          picks: picks.value,
          without: without.value,
          finished_g: wished.value.finished_g ?? 0,
          holds_at_c: wished.value.holds_at_c ?? null,
          way: way.value,
        }
      : null
  /** What is wished for beside the choices: some of it only where its job asks. */
  const asked = computed(() =>
    fields.filter((one) => !one.empty || job.value?.tools.includes('holds at')),
  )

  function toggle(stuff: string) {
    without.value = without.value.includes(stuff)
      ? without.value.filter((one) => one !== stuff)
      : [...without.value, stuff]
  }

  return {
    ...{ families, family, job, picks, without, wished, way, asked, wish, toggle },
    chooseFamily: (key: string) => (familyKey.value = key),
    chooseJob: (key: string) => (jobKey.value = key),
    pick: (slot: string, id: string) => (picks.value = { ...picks.value, [slot]: id }),
    goBy: (one: string) => (way.value = one),
    want: (name: string, value: number | null) =>
      (wished.value = { ...wished.value, [name]: value }),
  }
}
