<script setup lang="ts">
/** When it is served, and what matters in the plan, first to last. */
import type { Problem } from '../../api/client'
import type { Timing } from '../../api/types'
import { newKey } from '../../desserts/parts'
import NumberField from '../../kit/NumberField.vue'
import TextField from '../../kit/TextField.vue'

const props = defineProps<{ timing: Timing; problem: Problem | null; disabled: boolean }>()
const emit = defineEmits<{ change: [changed: Partial<Timing>] }>()
type Service = NonNullable<Timing['services']>[number]

const AIMS = {
  'nobody early': 'nobody begins early',
  'start late': 'hands begin as late as can be',
  freshest: 'nothing waits longer than it must',
  'calm last hour': 'a calm last hour',
  'least hand time': 'least hand time: waves finished at once',
} as const
type Aim = keyof typeof AIMS

const edit = (key: string, changed: Partial<Service>) =>
  emit('change', {
    services: (props.timing.services ?? []).map((one) =>
      one.key === key ? { ...one, ...changed } : one,
    ),
  })
const takeOut = (key: string) =>
  emit('change', { services: (props.timing.services ?? []).filter((one) => one.key !== key) })
function add() {
  const last = props.timing.services?.[props.timing.services.length - 1]
  const day = new Date(last ? `${last.at}Z` : Date.now())
  day.setUTCDate(day.getUTCDate() + 1)
  const at = last ? day.toISOString().slice(0, 19) : `${day.toISOString().slice(0, 10)}T19:00:00`
  const service = { key: newKey(), title: 'Service', at, waves: 1, every_min: 10 }
  emit('change', { services: [...(props.timing.services ?? []), service] })
}
const set = (one: Service, value: string) =>
  value && edit(one.key, { at: `${value}:00`.slice(0, 19) })

const aims = () => (props.timing.aims ?? []) as Aim[]
const left = () => (Object.keys(AIMS) as Aim[]).filter((one) => !aims().includes(one))
function raise(aim: Aim) {
  const now = [...aims()]
  const at = now.indexOf(aim)
  now.splice(at, 1)
  now.splice(Math.max(0, at - 1), 0, aim)
  emit('change', { aims: now })
}
</script>

<template>
  <section aria-label="Service">
    <h3>Service</h3>
    <ul class="list services">
      <li v-for="(one, at) in timing.services ?? []" :key="one.key">
        <div class="row">
          <TextField
            :model-value="one.title ?? 'Service'"
            label="What it is called"
            :disabled="disabled"
            @update:model-value="(title) => title.trim() && edit(one.key, { title })"
          />
          <button
            v-if="!disabled"
            type="button"
            class="deed small"
            :aria-label="`Take ${one.title} out`"
            @click="takeOut(one.key)"
          >
            ×
          </button>
        </div>
        <label class="when">
          <span class="eyebrow">served at</span>
          <input
            type="datetime-local"
            :value="one.at.slice(0, 16)"
            :disabled="disabled"
            :aria-invalid="Boolean(problem?.at(`timing.services.${at}.at`))"
            @change="set(one, ($event.target as HTMLInputElement).value)"
          />
        </label>
        <div class="two">
          <NumberField
            label="Waves"
            :value="one.waves ?? 1"
            :disabled="disabled"
            :error="problem?.at(`timing.services.${at}.waves`)"
            @commit="(v) => v !== null && edit(one.key, { waves: v })"
          />
          <NumberField
            v-if="(one.waves ?? 1) > 1"
            label="Apart by"
            unit="min"
            :value="one.every_min ?? 10"
            :disabled="disabled"
            :error="problem?.at(`timing.services.${at}.every_min`)"
            @commit="(v) => v !== null && edit(one.key, { every_min: v })"
          />
        </div>
      </li>
    </ul>
    <button v-if="!disabled" type="button" class="deed small dashed" @click="add">
      Add a service
    </button>
    <NumberField
      label="Begin at most so many days before"
      unit="days"
      :value="timing.days_ahead ?? 1"
      :disabled="disabled"
      :error="problem?.at('timing.days_ahead')"
      @commit="(v) => v !== null && emit('change', { days_ahead: v })"
    />
    <h3>What matters, first to last</h3>
    <ol class="list aims">
      <li v-for="(aim, at) in aims()" :key="aim">
        <span class="number">{{ at + 1 }}</span>
        <span>
          {{ AIMS[aim] }}
          <label v-if="aim === 'nobody early'">
            <span class="unseen">Nobody before</span>
            <input
              class="hour"
              type="time"
              :value="timing.not_before ?? '08:30'"
              :disabled="disabled"
              @change="emit('change', { not_before: ($event.target as HTMLInputElement).value })"
            />
          </label>
        </span>
        <span v-if="!disabled" class="deeds">
          <button
            v-if="at"
            type="button"
            class="deed small"
            :aria-label="`${AIMS[aim]}: sooner`"
            @click="raise(aim)"
          >
            ↑
          </button>
          <button
            type="button"
            class="deed small"
            :aria-label="`${AIMS[aim]}: does not matter`"
            @click="emit('change', { aims: aims().filter((x) => x !== aim) })"
          >
            ×
          </button>
        </span>
      </li>
    </ol>
    <div v-if="!disabled" class="left">
      <button
        v-for="aim in left()"
        :key="aim"
        type="button"
        class="deed small dashed"
        @click="emit('change', { aims: [...aims(), aim] })"
      >
        + {{ AIMS[aim] }}
      </button>
    </div>
  </section>
</template>

<style scoped>
section {
  display: grid;
  gap: 8px;
  grid-template-columns: minmax(0, 1fr);
}

h3 {
  margin: 8px 0 0;
}

.services,
.aims {
  display: grid;
  gap: 8px;
}

.services li {
  border-top: 1px solid var(--rule);
  display: grid;
  gap: 6px;
  padding-top: 8px;
}

.row {
  align-items: end;
  display: grid;
  gap: 6px;
  grid-template-columns: 1fr auto;
}

.when {
  display: grid;
  gap: 3px;
}

.two {
  display: grid;
  gap: 8px;
  grid-template-columns: repeat(2, minmax(0, 1fr));
}

input[type='datetime-local'],
.hour {
  background: var(--paper);
  border: 1px solid var(--leaf-strong);
  border-radius: 6px;
  color: inherit;
  font: inherit;
  max-width: 100%;
  min-height: 34px;
  padding: 2px 8px;
}

.hour {
  min-height: 28px;
}

.aims li {
  align-items: center;
  background: var(--paper);
  border: 1px solid var(--rule);
  border-radius: var(--round);
  display: grid;
  font-size: 14px;
  gap: 8px;
  grid-template-columns: auto 1fr auto;
  padding: 6px 8px;
}

.number {
  color: var(--bronze-text);
  font-weight: 700;
}

.deeds,
.left {
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
}
</style>
