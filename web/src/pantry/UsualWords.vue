<script setup lang="ts">
/** What bare words mean in this kitchen, changed in one press; and what is not known yet. */
import { ref } from 'vue'

import { refusalOf } from '../api/client'
import { useLacking, useNaming, useUsual } from '../api/names'
import RowChoice from '../kit/RowChoice.vue'
import TextField from '../kit/TextField.vue'

defineProps<{ disabled: boolean }>()
const naming = useNaming()
const usual = useUsual()
const { rows: lacking, left, more } = useLacking()
const word = ref('')
const fresh = ref<string>()
const refusal = ref('')

async function mean(text: string, ingredient: string) {
  refusal.value = ''
  try {
    await naming.mean(text, ingredient)
    word.value = ''
    fresh.value = undefined
  } catch (error) {
    refusal.value = refusalOf(error).detail
  }
}
</script>

<template>
  <div class="overview">
    <section aria-label="Usual words">
      <h1>Pantry</h1>
      <p class="quiet about">
        Choose an ingredient on the left. What a bare word means in this kitchen is said here: it is
        what ‘250 g butter’ takes.
      </p>
      <ul class="list words">
        <li v-for="one in usual.data.value" :key="one.word">
          <label>
            <span class="word">‘{{ one.word }}’</span>
            <RowChoice
              :value="one.ingredient"
              :label="one.name"
              :disabled="disabled"
              shelf="ingredients"
              @change="(id) => mean(one.word, String(id))"
            />
          </label>
        </li>
        <li v-if="!disabled" class="new">
          <TextField v-model="word" label="Another bare word" />
          <label>
            <span class="eyebrow">means</span>
            <RowChoice
              :value="fresh"
              shelf="ingredients"
              placeholder="which ingredient"
              :disabled="!word.trim()"
              @change="(id) => mean(word, String(id))"
            />
          </label>
        </li>
      </ul>
      <p v-if="refusal" class="wrong" role="alert">{{ refusal }}</p>
    </section>
    <section v-if="lacking.length" aria-label="Not known yet">
      <h2>Not known yet</h2>
      <ul class="list lacking">
        <li v-for="one in lacking" :key="one.id">
          <RouterLink :to="`/pantry/${one.id}`">{{ one.name }}</RouterLink>
          <span class="quiet">{{ one.lacks.join(', ') }}</span>
        </li>
      </ul>
      <button v-if="left" type="button" class="deed small" @click="more">{{ left }} more</button>
    </section>
  </div>
</template>

<style scoped>
.overview {
  display: grid;
  gap: 26px;
}

.about {
  margin: 4px 0 10px;
  max-width: 560px;
}

.words {
  display: grid;
  gap: 2px 18px;
  grid-template-columns: repeat(auto-fill, minmax(320px, 1fr));
}

.words label {
  align-items: center;
  display: grid;
  gap: 8px;
  grid-template-columns: 112px minmax(0, 1fr);
}

.word {
  font-weight: 600;
}

.new {
  align-items: end;
  display: grid;
  gap: 8px;
  grid-template-columns: 122px minmax(0, 1fr);
}

.new label {
  grid-template-columns: 1fr;
  gap: 0;
}

.lacking {
  columns: 280px;
  margin-top: 8px;
}

.lacking li {
  break-inside: avoid;
  display: flex;
  gap: 10px;
  justify-content: space-between;
  padding: 3px 0;
}
</style>
