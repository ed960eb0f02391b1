<script setup lang="ts">
/** One word for one thing: what each means here. */
const WORDS: readonly (readonly [string, string])[] = [
  ['air', 'gas beaten in: a line says its overrun in per cent, or a weighed cup says it all'],
  ['bare word', 'a word alone, such as ‘butter’; the pantry says which one it means here'],
  ['base', 'a disc or plank on the board, with its own size'],
  ['band', 'a strip around the foot of a dessert'],
  ['batch', 'what is made of a formula at once: its own size, or as much as its bowl holds'],
  ['cut', 'the dessert cut through the middle, drawn to scale'],
  ['dial', 'the figure that sets a formula for its job, and what turning it changes'],
  ['finding', 'something to know before it goes wrong, with the reason and what to do'],
  ['finished', 'what is there at the end: weighed, less what cooks off and stays in the pan'],
  ['fit', 'find the nearest formula that meets what you ask'],
  ['form', 'what a mold is: ring, frame, turned about its axis, gutter'],
  ['formula', 'the lines of one preparation, with its losses, its air and its method'],
  ['insert', 'layers frozen in a smaller ring, set into the mousse'],
  ['job', 'what a formula is for: slicing in a tart, dripping, coating'],
  ['kind', 'what a formula is: mousse, ganache, sponge, glaze …'],
  ['layer', 'one formula of an insert'],
  ['line', 'grams of one ingredient, or of another formula'],
  ['make-up', 'what 100 g of an ingredient consist of: water, fats, sugars …'],
  ['mold', 'what a dessert is made in, by its inner measures'],
  ['order', 'desserts in sizes and how many of each, made together'],
  ['offcut', 'what of a sheet stays whole when the last piece is cut'],
  ['other name', 'what an ingredient is called too; typing it takes the ingredient'],
  ['part', 'a formula doing something in a dessert: base, insert, fill, coat, band, garnish'],
  ['pour', 'one filling of a mold, between two heights'],
  ['raw sheet', 'what bases and bands are cut from, with its dry edge'],
  ['reading', 'a figure worked out of a formula, such as its sweetness, beside its window'],
  ['remedy', 'a change that mends a finding'],
  ['revision', 'the formula as it was saved once; it can be named, compared, brought back'],
  ['rule', 'how a part is scaled: by area and thickness, by surface, by edge, by pieces'],
  ['spread', 'how far the heaviest portion is from the lightest'],
  ['set', 'propose a formula for a job, or what makes it firm'],
  ['sheet', 'a formula at the size that is needed, rounded to what the scale can weigh'],
  ['stack', 'parts kept under a name, to be used in any dessert'],
  ['soaked', 'so many times its weight of water goes in with it, as with leaves of gelatin'],
  ['strained out', 'weighed and paid for, but left in the sieve, all of it or a share'],
  ['swap', 'one ingredient for another: straight, or with the other lines following'],
  ['vessel', 'a bowl, mixer, pot or siphon, with the least and most it takes'],
  ['window', 'from where to where a reading should lie'],
  ['working', 'how a figure comes about: what goes in, the law, the arithmetic, the source'],
]
</script>

<template>
  <section class="words" aria-label="What the words mean">
    <h1>What the words mean</h1>
    <p class="quiet">One word for one thing, everywhere in Fern Bell.</p>
    <dl>
      <div v-for="[word, means] in WORDS" :key="word">
        <dt>{{ word }}</dt>
        <dd>{{ means }}</dd>
      </div>
    </dl>
  </section>
</template>

<style scoped>
.words {
  margin: 0 auto;
  max-width: 1000px;
  padding: 24px;
}

dl {
  column-gap: 40px;
  columns: 400px;
  margin: 14px 0 0;
}

dl > div {
  border-top: 1px solid var(--rule);
  break-inside: avoid;
  display: grid;
  gap: 12px;
  grid-template-columns: 112px 1fr;
  padding: 6px 0;
}

dt {
  font-weight: 700;
}

dd {
  margin: 0;
}
</style>
