<script setup lang="ts">
defineProps<{ title: string; text: string }>()
</script>

<template>
  <section class="empty">
    <svg viewBox="0 0 120 60" width="120" height="60" aria-hidden="true">
      <path d="M10 50V14M110 50V14M6 50h108" class="ring" />
      <path d="M24 50V40h72v10" class="base" />
    </svg>
    <h2>{{ title }}</h2>
    <p>{{ text }}</p>
    <div class="next"><slot /></div>
  </section>
</template>

<style scoped>
.empty {
  align-content: center;
  display: grid;
  gap: 10px;
  justify-items: center;
  margin: 0 auto;
  max-width: 460px;
  min-height: 300px;
  text-align: center;
}

.ring {
  fill: none;
  stroke: var(--leaf-strong);
  stroke-dasharray: 5 4;
  stroke-width: 2;
}

.base {
  fill: var(--leaf);
  stroke: var(--leaf-strong);
}

.next {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  justify-content: center;
}
</style>
