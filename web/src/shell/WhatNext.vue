<script setup lang="ts">
/** Go anywhere or do anything by typing a few letters of it. */
import Input from 'ant-design-vue/es/input'
import Modal from 'ant-design-vue/es/modal'
import { computed, nextTick, onMounted, ref, useId, watch } from 'vue'
import { useRouter } from 'vue-router'

import { fits } from '../kit/search'
import { type Named, useFound } from '../kit/useFound'
import { usePicked } from '../kit/usePicked'
import { allCommands } from './commands'
import { ROOMS } from './routes'

const emit = defineEmits<{ close: [] }>()
const router = useRouter()
const id = useId()
const query = ref('')
const field = ref<{ focus: () => void } | null>(null)
onMounted(() => void nextTick(() => field.value?.focus()))

const MOST = 12
const on = (shelf: Named) =>
  useFound(
    () => shelf,
    () => query.value,
    MOST,
  ).found
const shelves = [
  { room: 'desserts', word: 'dessert', found: on('desserts') },
  { room: 'formulas', word: 'formula', found: on('formulas') },
  { room: 'pantry', word: 'ingredient', found: on('ingredients') },
  { room: 'molds', word: 'mold', found: on('molds') },
]
interface Offer {
  name: string
  aside: string
  run: () => unknown
}
const offers = computed<Offer[]>(() => {
  const deeds = allCommands.value.map(({ name, keys, run }) => ({ name, aside: keys ?? '', run }))
  const rooms = ROOMS.map((room) => ({
    name: `Go to ${room.name}`,
    aside: 'room',
    run: () => router.push(room.to),
  }))
  const rows = shelves.flatMap(({ room, word, found }) =>
    (found.value ?? []).slice(0, MOST).map((one) => ({
      name: one.name,
      aside: one.called ? `${one.called} · ${word}` : word,
      run: () => router.push(`/${room}/${one.id}`),
    })),
  )
  const said = [...deeds, ...rooms].filter((one) => fits(`${one.name} ${one.aside}`, query.value))
  return [...said, ...rows].slice(0, MOST)
})
const { picked, arrow } = usePicked(() => offers.value.length)
watch(query, () => (picked.value = 0))

function take(offer: Offer | undefined) {
  if (!offer) return
  emit('close')
  // The dialog gives the focus back first; what is done may take it again.
  void nextTick(() => offer.run())
}
</script>

<template>
  <Modal open title="What next?" :footer="null" width="520px" @cancel="emit('close')">
    <Input
      ref="field"
      v-model:value="query"
      placeholder="A few letters of a deed, a room or anything on your shelves"
      aria-label="What next?"
      role="combobox"
      aria-expanded="true"
      :aria-controls="id"
      :aria-activedescendant="offers.length ? `${id}-${picked}` : undefined"
      autocomplete="off"
      @press-enter="take(offers[picked])"
      @keydown="arrow"
    />
    <ul :id="id" class="list offers" role="listbox" aria-label="What can be done">
      <li
        v-for="(one, i) in offers"
        :id="`${id}-${i}`"
        :key="`${one.aside}/${one.name}`"
        role="option"
        :aria-selected="i === picked"
        :class="{ picked: i === picked }"
        @click="take(one)"
      >
        {{ one.name }} <span class="quiet">{{ one.aside }}</span>
      </li>
    </ul>
    <p v-if="!offers.length" class="quiet">Nothing of that name.</p>
  </Modal>
</template>

<style scoped>
.offers {
  margin-top: 8px;
  min-height: 200px;
}

li {
  border-radius: var(--round);
  cursor: pointer;
  display: flex;
  justify-content: space-between;
  padding: 6px 12px;
}

li.picked {
  background: var(--bronze-wash);
}
</style>
