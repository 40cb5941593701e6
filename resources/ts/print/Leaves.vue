<script setup lang="ts">
import { useLocalStorage } from '@vueuse/core'
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'

/**
 * Leaves of paper to print: what is to be printed is laid out in fields of one size, so many on a leaf; "large" is one
 * on a leaf in large letters. What the screen shows is what the printer gives.
 */
const props = withDefaults(defineProps<{ count: number; sizes?: readonly string[]; foot?: string }>(), {
  sizes: () => ['1', '2', '4', '8', 'large'],
  foot: '',
})
const { t } = useI18n()
/** Kept on the device, as the printer is. */
const choice = useLocalStorage('leaves', { paper: 'a4', size: '4' })
const size = computed(() => (props.sizes.includes(choice.value.size) ? choice.value.size : (props.sizes[0] ?? '1')))
const each = computed(() => (size.value === 'large' ? 1 : Number(size.value)))
const leaves = computed(() =>
  Array.from({ length: Math.ceil(props.count / each.value) }, (_, leaf) =>
    Array.from({ length: Math.min(each.value, props.count - leaf * each.value) }, (_, i) => leaf * each.value + i),
  ),
)
const print = () => window.print()
</script>

<template>
  <section>
    <div class="row no-print tools">
      <label
        >{{ t('leaves.paper') }}
        <select v-model="choice.paper">
          <option value="a4">A4</option>
          <option value="letter">{{ t('leaves.letter') }}</option>
        </select></label
      >
      <fieldset>
        <legend>{{ t('leaves.each') }}</legend>
        <label v-for="one in sizes" :key="one" :class="{ chosen: one === size }"
          ><input v-model="choice.size" type="radio" name="size" :value="one" />
          {{ one === 'large' ? t('leaves.large') : one }}</label
        >
      </fieldset>
      <span class="quiet">{{ t('leaves.count', { n: leaves.length }, leaves.length) }}</span>
      <v-btn color="primary" class="fold-button" @click="print">{{ t('paper.print') }}</v-btn>
    </div>
    <div class="desk">
      <div v-for="(leaf, l) in leaves" :key="l" class="leaf" :class="[choice.paper, `of-${size}`]">
        <div v-for="i in leaf" :key="i" class="field"><slot :index="i" :size="size"></slot></div>
        <p class="foot">{{ foot }}<span v-if="leaves.length > 1">{{ l + 1 }} / {{ leaves.length }}</span></p>
      </div>
    </div>
  </section>
</template>

<style scoped>
.tools { padding-bottom: 14px; gap: 22px; }
select { background: var(--paper); padding: 8px 10px; border-bottom: 2px solid var(--ink); font-weight: 650; }
fieldset { border: 0; padding: 0; display: flex; align-items: center; }
legend { float: left; padding-right: 10px; }
fieldset label { background: var(--paper); padding: 10px 14px; cursor: pointer; box-shadow: var(--shadow); }
fieldset label.chosen { background: var(--tide); color: white; }
.desk { display: flex; flex-wrap: wrap; gap: 24px; }
.leaf {
  box-sizing: border-box; background: white; color: #17252d; box-shadow: var(--shadow); padding: 11mm 12mm 9mm;
  display: grid; gap: 4mm 6mm; align-content: stretch; overflow: hidden; position: relative;
}
.a4 { width: 210mm; height: 296.5mm; page: leaf-a4; }
.letter { width: 215.9mm; height: 279mm; page: leaf-letter; }
.of-1, .of-large { grid-template: minmax(0, 1fr) / minmax(0, 1fr); }
.of-2 { grid-template: repeat(2, minmax(0, 1fr)) / minmax(0, 1fr); }
.of-4 { grid-template: repeat(2, minmax(0, 1fr)) / repeat(2, minmax(0, 1fr)); }
.of-8 { grid-template: repeat(4, minmax(0, 1fr)) / repeat(2, minmax(0, 1fr)); }
.field { min-width: 0; min-height: 0; overflow: hidden; }
.foot { position: absolute; left: 12mm; right: 12mm; bottom: 4mm; font-size: 8pt; display: flex; }
.foot span { margin-left: auto; }
@media (max-width: 860px) { .leaf { zoom: 0.45; } }
@media print {
  .desk { display: block; }
  .leaf { box-shadow: none; break-after: page; zoom: 1; }
  .leaf:last-child { break-after: auto; }
}
</style>

<style>
/* The choice of paper is a class, so the printer is told the same size as the screen. */
@page leaf-a4 { size: 210mm 297mm; margin: 0; }
@page leaf-letter { size: 215.9mm 279.4mm; margin: 0; }
</style>
