<script setup lang="ts">
/** Who works here: what each is trusted with, and when they are in. */
import { ref } from 'vue'

import { Problem } from '../../api/client'
import { useRows, useWrites } from '../../api/shelves'
import type { Hand, HandEntry } from '../../api/types'
import ChoiceField from '../../kit/ChoiceField.vue'
import FoldCard from '../../kit/FoldCard.vue'
import KitchenRowHead from '../KitchenRowHead.vue'

defineProps<{ disabled: boolean; off: readonly string[] }>()
const emit = defineEmits<{ off: [id: string, off: boolean] }>()
const { rows } = useRows('hands')
const { create, change, archive } = useWrites('hands')
const SKILLS = [
  { value: 3, label: 'chef' },
  { value: 2, label: 'cook' },
  { value: 1, label: 'apprentice' },
]
const DAYS = ['Mo', 'Tu', 'We', 'Th', 'Fr', 'Sa', 'Su']
const wrong = ref<{ at: string; says: string }>()

async function attempt(at: string, work: Promise<unknown>) {
  try {
    await work
    wrong.value = undefined
  } catch (error) {
    if (!(error instanceof Problem)) throw error
    wrong.value = { at, says: error.message }
  }
}
function edit(row: Hand, changed: Partial<HandEntry>) {
  const { name, skill, comes, leaves, weekdays } = row
  const data = { name, skill, comes, leaves, weekdays, ...changed } as HandEntry
  return attempt(row.id, change.mutateAsync({ id: row.id, revision: row.revision, data }))
}
const turn = (row: Hand, day: number) =>
  edit(row, {
    weekdays: row.weekdays.includes(day)
      ? row.weekdays.filter((one) => one !== day)
      : [...row.weekdays, day].sort(),
  })
function add() {
  const number = rows.value.length + 1
  void attempt(
    '',
    create.mutateAsync({
      name: `Hand ${number}`,
      skill: 2,
      comes: '08:00',
      leaves: '17:00',
      weekdays: [0, 1, 2, 3, 4, 5, 6],
    }),
  )
}
</script>

<template>
  <FoldCard title="Who works here" name="plan.hands">
    <ul class="list" aria-label="Who works here">
      <li v-for="row in rows" :key="row.id" :aria-label="row.name">
        <KitchenRowHead
          :name="row.name"
          :label="`Name of ${row.name}`"
          :error="wrong?.at === row.id ? wrong.says : undefined"
          :disabled="disabled"
          @rename="(name) => edit(row, { name })"
          @away="attempt(row.id, archive.mutateAsync(row.id))"
        />
        <div class="facts">
          <label>
            <span class="unseen">{{ row.name }} is trusted as</span>
            <ChoiceField
              class="skill"
              :value="row.skill"
              :options="SKILLS"
              :disabled="disabled"
              @change="(skill) => edit(row, { skill: Number(skill) as never })"
            />
          </label>
          <label>
            <span class="unseen">{{ row.name }} comes at</span>
            <input
              type="time"
              :value="row.comes"
              :disabled="disabled"
              @change="edit(row, { comes: ($event.target as HTMLInputElement).value })"
            />
          </label>
          <label>
            <span class="unseen">{{ row.name }} leaves at</span>
            <input
              type="time"
              :value="row.leaves"
              :disabled="disabled"
              @change="edit(row, { leaves: ($event.target as HTMLInputElement).value })"
            />
          </label>
        </div>
        <div class="days" role="group" :aria-label="`Days of ${row.name}`">
          <button
            v-for="(day, at) in DAYS"
            :key="day"
            type="button"
            :aria-pressed="row.weekdays.includes(at)"
            :class="{ on: row.weekdays.includes(at) }"
            :disabled="disabled"
            @click="turn(row, at)"
          >
            {{ day }}
          </button>
        </div>
        <label class="check">
          <input
            type="checkbox"
            :checked="!off.includes(row.id)"
            :disabled="disabled"
            @change="emit('off', row.id, !($event.target as HTMLInputElement).checked)"
          />
          in for this order
        </label>
      </li>
    </ul>
    <p v-if="!rows.length" class="quiet">Nobody yet: a plan needs to know who is in, and when.</p>
    <button v-if="!disabled" type="button" class="deed small dashed" @click="add">
      Add somebody
    </button>
    <p v-if="wrong && !wrong.at" class="wrong">{{ wrong.says }}</p>
  </FoldCard>
</template>

<style scoped>
li {
  border-top: 1px solid var(--rule);
  display: grid;
  gap: 5px;
  padding: 7px 0;
}

.facts {
  display: grid;
  gap: 5px;
  grid-template-columns: repeat(2, minmax(0, 1fr));
}

.facts label:first-child {
  grid-column: 1 / -1;
}

.skill {
  width: 100%;
}

input[type='time'] {
  background: var(--paper);
  border: 1px solid var(--leaf-strong);
  border-radius: 6px;
  color: inherit;
  font: inherit;
  font-size: 14px;
  min-height: 32px;
  padding: 1px 4px;
  width: 100%;
}

.days {
  display: flex;
  gap: 2px;
}

.days button {
  background: none;
  border: 1px solid var(--rule);
  border-radius: 4px;
  color: var(--muted);
  cursor: pointer;
  flex: 1;
  font-size: 12.5px;
  min-height: 26px;
  padding: 0;
}

.days button.on {
  background: var(--leaf);
  border-color: var(--leaf-strong);
  color: var(--fern);
  font-weight: 700;
}

.check {
  align-items: center;
  display: flex;
  font-size: 14px;
  gap: 6px;
}

@media (pointer: coarse) {
  .days button,
  input[type='time'] {
    min-height: 40px;
  }
}
</style>
