<script setup lang="ts">
/** Allergens with what they come from, and for what nobody entered them. */
import { computed } from 'vue'

import type { Reading } from '../api/types'

const props = defineProps<{ declared: Reading['declared'] }>()
const allergens = computed(() => Object.entries(props.declared.contains))
</script>

<template>
  <p v-if="allergens.length">
    Contains
    <template v-for="([name, from], i) in allergens" :key="name"
      >{{ i ? '; ' : '' }}<strong>{{ name }}</strong> ({{ from.join(', ') }})</template
    >.
  </p>
  <p v-if="declared.unknown.length" class="wrong">
    Allergens not entered for {{ declared.unknown.join(', ') }}.
  </p>
</template>
