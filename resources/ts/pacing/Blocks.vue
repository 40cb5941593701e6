<script setup lang="ts">
import { useDebounceFn, useEventListener } from '@vueuse/core'
import { computed, nextTick, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import type { LessonData, LessonInput } from '../api/client'

/**
 * The blocks of a lesson in their order, each as wide as it is long: dragged, or moved with the arrow keys; longer and
 * shorter with up and down. Those that are not in it stand below, to be put in.
 */
const props = defineProps<{ lesson: LessonData; disabled: boolean }>()
const emit = defineEmits<{ change: [changes: Partial<LessonInput>] }>()
const { t } = useI18n()

type Block = LessonData['plan']['blocks'][number]
const blocks = ref<Block[]>([])
watch(
  () => props.lesson.plan.blocks,
  (now) => { blocks.value = now.map((block) => ({ ...block })) },
  { immediate: true },
)
const there = computed(() => blocks.value.filter((block) => !block.out))
const others = computed(() => blocks.value.filter((block) => block.out))

/** Minutes of the folding, checks and new squares among it: all that is no block of its own, and not the buffer. */
const folding = computed(() => {
  const own = new Set([...blocks.value.map((block) => block.key), 'buffer'])
  const seconds = props.lesson.plan.lines.filter((line) => !own.has(line.key)).reduce((sum, l) => sum + l.seconds, 0)
  return Math.round(seconds / 60)
})
const isFolding = (block: Block) => block.key === 'folding'
const minutes = (block: Block) => (isFolding(block) ? folding.value : (block.minutes ?? block.usual))
const name = (block: Block) => t(`plan.block.${block.key}`)

function changes(): Partial<LessonInput> {
  const order = blocks.value.map((block) => block.key)
  const said = blocks.value.filter((block) => block.minutes !== null && !isFolding(block))
  const { decorate } = props.lesson.setting
  const side = order.indexOf('decorate') < order.indexOf('folding') ? 'before' : 'after'
  return {
    blocks: { order, minutes: Object.fromEntries(said.map((block) => [block.key, block.minutes ?? 0])) },
    ...(decorate === 'none' ? {} : { decorate: side }),
  }
}
const save = useDebounceFn(() => emit('change', changes()), 500)

/** Whether the paper would still be there before it is folded. */
function makesSense(order: string[]) {
  const folds = order.indexOf('folding')
  return order.indexOf('squaring') < folds && order.indexOf('hand-out') < folds
}
const refused = ref('')
function place(key: string, before: string | null) {
  const moved = blocks.value.find((block) => block.key === key)
  if (!moved || key === before) return
  const rest = blocks.value.filter((block) => block.key !== key)
  const at = before === null ? rest.length : rest.findIndex((block) => block.key === before)
  const order = [...rest.slice(0, at), moved, ...rest.slice(at)]
  refused.value = makesSense(order.map((block) => block.key)) ? '' : t('blocks.refused')
  if (refused.value) return
  blocks.value = order
  void save()
}
/** One place on among those that are in the lesson. */
async function step(block: Block, by: 1 | -1) {
  const at = there.value.indexOf(block)
  const next = there.value[by === 1 ? at + 2 : at - 1]
  if (by === -1 && !next) return
  if (by === 1 && at === there.value.length - 1) return
  place(block.key, next?.key ?? null)
  await nextTick()
  document.getElementById(`block-${block.key}`)?.focus()
}
function lengthen(block: Block, by: number) {
  if (isFolding(block)) return
  block.minutes = Math.min(180, Math.max(0, minutes(block) + by))
  void save()
}
function asUsual(block: Block) {
  block.minutes = null
  void save()
}
function take(block: Block) {
  if (block.key === 'squaring') emit('change', { square_in_lesson: true })
  else if (block.key === 'decorate') emit('change', { decorate: 'after' })
  else {
    block.minutes = block.usual
    void save()
  }
}
function leave(block: Block) {
  if (block.key === 'squaring') emit('change', { square_in_lesson: false })
  else if (block.key === 'decorate') emit('change', { decorate: 'none' })
  else {
    block.minutes = ['talk', 'display'].includes(block.key) ? null : 0
    void save()
  }
}

/** The block that is dragged, from where, and whether it has left its place; and the one it would stand before. */
const held = ref<{ key: string; x: number; moves: boolean }>()
const before = ref<string | null>(null)
let pressed = false
function grab(block: Block, event: PointerEvent) {
  pressed = false
  if (!props.disabled && event.button === 0) held.value = { key: block.key, x: event.clientX, moves: false }
}
useEventListener('pointermove', (event: PointerEvent) => {
  if (!held.value) return
  held.value.moves ||= Math.abs(event.clientX - held.value.x) > 8
  const middle = (block: Block) => {
    const box = document.getElementById(`block-${block.key}`)?.getBoundingClientRect()
    return box ? box.left + box.width / 2 : 0
  }
  before.value = there.value.find((block) => middle(block) > event.clientX)?.key ?? null
})
useEventListener('pointerup', () => {
  pressed = held.value?.moves ?? false
  if (held.value && pressed) place(held.value.key, before.value)
  held.value = undefined
})
useEventListener('pointercancel', () => { held.value = undefined })
const picked = ref<string | null>(null)
/** A press opens a block's tools; what ended a drag does not. */
function pick(block: Block) {
  if (!pressed) picked.value = picked.value === block.key ? null : block.key
  pressed = false
}
const open = computed(() => there.value.find((block) => block.key === picked.value))
</script>

<template>
  <section class="blocks no-print" :aria-label="t('blocks.title')">
    <div class="strip" role="list">
      <button
        v-for="block in there"
        :id="`block-${block.key}`"
        :key="block.key"
        type="button"
        role="listitem"
        :disabled="disabled"
        :class="{
          folding: isFolding(block),
          picked: picked === block.key,
          said: block.minutes !== null,
          held: held?.moves && held.key === block.key,
          before: held?.moves && before === block.key,
        }"
        :style="{ flexGrow: Math.max(2, minutes(block)) }"
        :aria-label="t('blocks.one', { name: name(block), n: minutes(block) })"
        @click="pick(block)"
        @keydown.left.prevent="step(block, -1)"
        @keydown.right.prevent="step(block, 1)"
        @keydown.up.prevent="lengthen(block, 1)"
        @keydown.down.prevent="lengthen(block, -1)"
        @pointerdown="grab(block, $event)">
        <b>{{ minutes(block) }}</b><span>{{ name(block) }}</span>
      </button>
      <span class="end" :class="{ before: held?.moves && before === null }" />
    </div>
    <div v-if="open" class="tools">
      <b>{{ name(open) }}</b>
      <button type="button" class="link" :disabled="disabled" @click="step(open, -1)">{{ t('blocks.sooner') }}</button>
      <button type="button" class="link" :disabled="disabled" @click="step(open, 1)">{{ t('blocks.later') }}</button>
      <template v-if="!isFolding(open)">
        <button type="button" class="link" :disabled="disabled" @click="lengthen(open, -1)">
          {{ t('blocks.shorter') }}
        </button>
        <button type="button" class="link" :disabled="disabled" @click="lengthen(open, 1)">
          {{ t('blocks.longer') }}
        </button>
        <button v-if="open.minutes !== null" type="button" class="link" :disabled="disabled" @click="asUsual(open)">
          {{ t('blocks.usual', { n: open.usual }) }}
        </button>
        <button type="button" class="link" :disabled="disabled" @click="leave(open)">{{ t('blocks.leave') }}</button>
      </template>
      <span v-else class="quiet">{{ t('blocks.computed') }}</span>
    </div>
    <p v-if="refused" class="warn" role="alert">{{ refused }}</p>
    <p class="quiet more">
      <button
        v-for="block in others"
        :key="block.key"
        type="button"
        class="link"
        :disabled="disabled"
        @click="take(block)">
        {{ t('blocks.take', { name: name(block), n: block.usual }) }}
      </button>
      <span>{{ t('blocks.how') }}</span>
    </p>
  </section>
</template>

<style scoped>
.strip { display: flex; gap: 3px; align-items: stretch; min-width: 0; }
.strip button {
  flex: 1 1 0; min-width: 82px; min-height: 60px; background: var(--paper-shade); padding: 6px 8px; text-align: left;
  border-bottom: 5px solid var(--ink-2); overflow: hidden; cursor: grab; touch-action: pan-y;
  display: grid; align-content: start;
}
.strip span { font-size: 0.86rem; line-height: 1.15; overflow-wrap: anywhere; }
.strip .end { flex: 0 0 14px; }
.held { opacity: 0.5; cursor: grabbing !important; }
.before { box-shadow: -5px 0 0 var(--now); }
.folding { border-bottom-color: var(--tide) !important; background: var(--tint) !important; }
.said { border-bottom-color: var(--now) !important; }
.picked { outline: 3px solid var(--ink); outline-offset: -3px; }
.tools { display: flex; flex-wrap: wrap; gap: 4px 16px; align-items: center; padding-top: 8px; }
.link { text-decoration: underline; min-height: 44px; }
.more { display: flex; flex-wrap: wrap; gap: 0 16px; align-items: center; margin: 4px 0 0; }
@media (max-width: 600px) { .strip { flex-wrap: wrap; } .strip button { min-width: 84px; } }
</style>
