<script setup lang="ts">
/** Compose a dessert: parts on the shelf, the cut on the board, what it takes on the ticket. */
import { computed, defineAsyncComponent, ref, watch } from 'vue'
import { useRouter } from 'vue-router'

import { useRows } from '../api/shelves'
import EmptyState from '../kit/EmptyState.vue'
import { useSession } from '../shell/session'
import DessertBoard from './DessertBoard.vue'
import DessertShelf from './DessertShelf.vue'
import DessertTicket from './DessertTicket.vue'
import { type Chosen, partRows } from './parts'
import { useDessert, useSolved } from './useDessert'

const NewDessert = defineAsyncComponent(() => import('./NewDessert.vue'))
const LAST = 'fernbell.last-dessert'

const props = defineProps<{ id?: string }>()
const router = useRouter()
const { mayWrite } = useSession()
const { rows: desserts, isSuccess } = useRows('desserts')
const { rows: formulas } = useRows('formulas')
const dessert = useDessert(() => props.id || undefined)
const solved = useSolved(() => props.id || undefined)
const chosen = ref<Chosen | null>(null)
const making = ref(false)

// The product opens on the dessert last worked on.
watch(
  [() => props.id, desserts, dessert.missing],
  () => {
    if (dessert.missing.value) localStorage.removeItem(LAST)
    else if (props.id) return localStorage.setItem(LAST, props.id)
    const last = localStorage.getItem(LAST)
    const next = desserts.value.find((one) => one.id === last) ?? desserts.value[0]
    if (next && next.id !== props.id) void router.replace(`/desserts/${next.id}`)
  },
  { immediate: true },
)
watch(
  () => props.id,
  () => (chosen.value = null),
)

const rows = computed(() => partRows(dessert.draft.value?.parts ?? []))

/** A finding names a part; where that is an insert, its first layer is meant. */
function choose(wanted: Chosen) {
  const row =
    rows.value.find((one) => one.part === wanted.part && one.layer === wanted.layer) ??
    rows.value.find((one) => one.part === wanted.part)
  chosen.value = row ? { part: row.part, layer: row.layer } : null
}
const formulaOf = (id: string) => formulas.value.find((one) => one.id === id)
</script>

<template>
  <div v-if="dessert.draft.value && props.id" class="zones">
    <DessertShelf
      :id="props.id"
      class="zone-shelf"
      :dessert="dessert"
      :desserts="desserts"
      :formulas="formulas"
      :rows="rows"
      :chosen="chosen"
      :formula-of="formulaOf"
      :disabled="!mayWrite"
      @choose="choose"
      @make="making = true"
    />
    <DessertBoard
      class="zone-board"
      :dessert="dessert"
      :solved="solved.data.value"
      :formulas="formulas"
      :chosen="chosen"
      :formula-of="formulaOf"
      :disabled="!mayWrite"
      @choose="choose"
    />
    <div class="zone-ticket">
      <DessertTicket
        v-if="solved.data.value"
        :id="props.id"
        :solved="solved.data.value"
        :count="dessert.draft.value.count"
        :count-error="dessert.problem.value?.at('count')"
        :chosen="chosen"
        :disabled="!mayWrite"
        @count="(count) => dessert.edit({ count })"
        @choose="choose"
      />
      <p v-else-if="solved.error.value" class="slip wrong">{{ solved.error.value.message }}</p>
    </div>
  </div>
  <EmptyState
    v-else-if="isSuccess && !desserts.length"
    title="No dessert yet"
    text="Draw the first one: choose a ring or frame, then lay in base, heart, mousse and glaze. Every gram follows the drawing."
  >
    <button v-if="mayWrite" class="deed main" type="button" @click="making = true">
      Draw a dessert
    </button>
    <RouterLink class="deed" to="/molds">Measure a mold</RouterLink>
  </EmptyState>
  <NewDessert v-if="making" @close="making = false" />
</template>
