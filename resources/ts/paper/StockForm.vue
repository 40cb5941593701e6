<script setup lang="ts">
import { computed, ref, useTemplateRef, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { Problem, type StockData } from '../api/client'
import { useMe } from '../api/groups'
import { useSaveStock } from '../api/paper'
import DraftNote from '../parts/DraftNote.vue'
import { showFirstFault } from '../parts/firstFault'
import { keptLength, useMeasure } from '../parts/measure'
import { useUnsaved } from '../parts/unsaved'

/** Paper put into the cupboard, or changed. What is rare is folded away and opens when it holds something. */
const props = defineProps<{ stock: StockData | null }>()
const emit = defineEmits<{ done: [] }>()
const { t } = useI18n()
const me = useMe()
const save = useSaveStock()
const { unit, say, plain } = useMeasure()
const blank = {
  format: 'own',
  name: '',
  width: '',
  height: '',
  grammage: '',
  count: '',
  kind: 'office',
  sides: 'alike',
  trim: '0',
  price: '',
  tags: '',
  scrap: false,
  version: null as number | null,
}
const kinds = computed(() => me.data.value?.paper_kinds ?? [])
const sides = computed(() => me.data.value?.paper_sides ?? [])
const form = ref({ ...blank })
const unsaved = useUnsaved(
  () => `stock-${props.stock ? `${props.stock.id}-${props.stock.version}` : 'new'}`,
  () => JSON.stringify(form.value),
  (text) => { form.value = JSON.parse(text) as typeof blank },
)
const sheet = useTemplateRef<HTMLFormElement>('sheet')
const errors = computed(() => (save.error.value instanceof Problem ? save.error.value.fields : {}))
/** Something in the part that is folded away is filled in or refused. */
const rare = computed(
  () =>
    form.value.price !== '' ||
    form.value.tags !== '' ||
    form.value.scrap ||
    (form.value.trim !== '' && Number(form.value.trim) !== 0) ||
    Object.keys(errors.value).some((at) => /^(trim|price|tags)/.test(at)),
)
const number = (text: string) => {
  const value = String(text).trim().replace(',', '.')
  return value === '' ? null : Number(value)
}

function pick(key: string) {
  const format = me.data.value?.formats.find((f) => f.key === key)
  if (format)
    form.value = {
      ...form.value,
      format: key,
      name: format.name,
      width: plain(format.width),
      height: plain(format.height),
      grammage: String(format.grammage),
      kind: kinds.value.find((k) => k === format.kind) ?? 'other',
      sides: sides.value.find((k) => k === format.sides) ?? 'alike',
    }
}
/** Its fields as they are written for the eye. */
const written = (stock: StockData) => ({
    format: 'own',
    name: stock.name,
    width: plain(stock.width_mm),
    height: plain(stock.height_mm),
    grammage: String(stock.grammage ?? ''),
    count: String(stock.count ?? ''),
    kind: stock.kind,
    sides: stock.sides,
    trim: plain(stock.trim_mm),
    price: stock.price === null ? '' : String(stock.price),
    tags: stock.tags.join(', '),
    scrap: stock.scrap,
  version: stock.version,
})
watch(
  () => props.stock,
  (stock) => {
    form.value = stock ? written(stock) : { ...blank }
    unsaved.settle()
  },
)
async function submit() {
  const f = form.value
  const body = {
    name: f.name,
    width_mm: keptLength(f.width, props.stock?.width_mm ?? null, plain, unit.value) ?? 0,
    height_mm: keptLength(f.height, props.stock?.height_mm ?? null, plain, unit.value) ?? 0,
    grammage: number(f.grammage),
    count: number(f.count),
    kind: f.kind,
    sides: f.sides,
    trim_mm: keptLength(f.trim, props.stock?.trim_mm ?? null, plain, unit.value) ?? 0,
    price: number(f.price),
    tags: f.tags
      .split(',')
      .map((tag) => tag.trim())
      .filter((tag) => tag !== ''),
    scrap: f.scrap,
    ...(props.stock === null || f.version === null ? {} : { version: f.version }),
  }
  if (await save.mutateAsync({ ...(props.stock === null ? {} : { id: props.stock.id }), body }).catch(() => null)) {
    unsaved.done()
    form.value = { ...blank }
    unsaved.settle()
    emit('done')
  } else {
    await showFirstFault(sheet.value)
  }
}
</script>

<template>
  <form ref="sheet" class="sheet stack" novalidate @submit.prevent="submit">
    <h2>{{ stock === null ? t('cupboard.add') : t('cupboard.change') }}</h2>
    <DraftNote :unsaved="unsaved" />
    <v-select
      :model-value="form.format"
      :label="t('cupboard.format')"
      :items="[
        ...(me.data.value?.formats ?? []).map((f) => ({
          value: f.key,
          title: `${f.name}, ${say(f.width, f.height)}`,
        })),
        { value: 'own', title: t('cupboard.own') },
      ]"
      @update:model-value="pick" />
    <v-text-field v-model="form.name" :label="t('cupboard.name')" :error-messages="errors['name']" />
    <div class="pair">
      <v-text-field
        v-model="form.width"
        inputmode="decimal"
        :label="t('cupboard.width')"
        :hint="t('cupboard.measure')"
        :error-messages="errors['width_mm']" /><v-text-field
        v-model="form.height"
        inputmode="decimal"
        :label="t('cupboard.height')"
        :error-messages="errors['height_mm']" />
    </div>
    <div class="pair">
      <v-text-field
        v-model="form.grammage"
        inputmode="numeric"
        :label="t('cupboard.grammage')"
        :error-messages="errors['grammage']" /><v-text-field
        v-model="form.count"
        inputmode="numeric"
        :label="t('cupboard.count')"
        :hint="t('cupboard.countHint')"
        persistent-hint
        :error-messages="errors['count']" />
    </div>
    <v-select
      v-model="form.kind"
      :label="t('cupboard.kind')"
      :items="kinds.map((k) => ({ value: k, title: t(`cupboard.kind_${k}`) }))" />
    <v-select
      v-model="form.sides"
      :label="t('cupboard.sides')"
      :items="sides.map((k) => ({ value: k, title: t(`cupboard.sides_${k}`) }))" />
    <details :open="rare">
      <summary>{{ t('cupboard.rare') }}</summary>
      <div class="stack">
        <v-text-field
          v-model="form.trim"
          inputmode="decimal"
          :label="t('cupboard.trim')"
          :hint="t('cupboard.trimHint')"
          persistent-hint
          :error-messages="errors['trim_mm']" />
        <v-text-field
          v-model="form.price"
          inputmode="decimal"
          :label="t('cupboard.price')"
          :hint="t('cupboard.priceHint')"
          persistent-hint
          :error-messages="errors['price']" />
        <v-text-field
          v-model="form.tags"
          :label="t('cupboard.tags')"
          :hint="t('cupboard.tagsHint')"
          persistent-hint
          :error-messages="
            Object.entries(errors)
              .filter(([at]) => at.startsWith('tags'))
              .map(([, why]) => why)
          " />
        <v-checkbox v-model="form.scrap" :label="t('cupboard.scrap')" />
      </div>
    </details>
    <p v-if="save.error.value && !Object.keys(errors).length" class="warn" role="alert">
      {{ save.error.value.message }}
    </p>
    <v-btn type="submit" color="primary" class="fold-button" :loading="save.isPending.value">{{
      t('app.save')
    }}</v-btn>
  </form>
</template>

<style scoped>
.pair { display: grid; grid-template-columns: 1fr 1fr; gap: 12px; align-items: start; }
summary { min-height: 44px; padding: 10px 0; cursor: pointer; font-weight: 650; }
</style>
