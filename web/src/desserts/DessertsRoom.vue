<script setup lang="ts">
/** Compose a dessert: parts on the shelf, the cut on the board, what it takes on the ticket. */
import { computed, defineAsyncComponent, ref, watch } from 'vue'

import { useRows } from '../api/shelves'
import EmptyState from '../kit/EmptyState.vue'
import { useSession } from '../shell/session'
import DessertBoard from './DessertBoard.vue'
import DessertShelf from './DessertShelf.vue'
import DessertTicket from './DessertTicket.vue'
import { type Chosen, partRows } from './parts'
import { useDessert, useSolved } from './useDessert'
import { useUndo } from './useUndo'

const NewDessert = defineAsyncComponent(() => import('./NewDessert.vue'))
const LAST = 'fernbell.last-dessert'

const props = defineProps<{ id?: string }>()
const { mayWrite } = useSession()
const { rows: desserts, isSuccess } = useRows('desserts')
const { rows: formulas } = useRows('formulas')
const gone = ref<string>()
/** The dessert asked for; without one the product opens on the dessert last worked on. */
const id = computed(() => {
  if (props.id && props.id !== gone.value) return props.id
  const last = localStorage.getItem(LAST)
  return (desserts.value.find((one) => one.id === last) ?? desserts.value[0])?.id
})
const dessert = useDessert(() => id.value)
const changes = useUndo(() => id.value, dessert)
const { solved, error: unsolved } = useSolved(() => dessert.draft.value)
const chosen = ref<Chosen | null>(null)
const making = ref(false)

watch(dessert.missing, (missing) => missing && (gone.value = props.id))
watch(
  id,
  (now) => {
    chosen.value = null
    if (now) localStorage.setItem(LAST, now)
  },
  { immediate: true },
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
  <div v-if="dessert.draft.value && id" class="zones">
    <DessertShelf
      :id="id"
      class="zone-shelf"
      :dessert="dessert"
      :edit="changes.edit"
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
      :changes="changes"
      :solved="solved"
      :formulas="formulas"
      :chosen="chosen"
      :formula-of="formulaOf"
      :disabled="!mayWrite"
      @choose="choose"
    />
    <div class="zone-ticket">
      <DessertTicket
        v-if="solved"
        :id="id"
        :solved="solved"
        :count="dessert.draft.value.count"
        :count-error="dessert.problem.value?.at('count')"
        :chosen="chosen"
        :disabled="!mayWrite"
        @count="(count) => changes.edit({ count })"
        @choose="choose"
      />
      <p v-else-if="unsolved" class="slip wrong">{{ unsolved.message }}</p>
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
