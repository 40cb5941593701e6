<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { computed, nextTick, onBeforeUnmount, ref, shallowRef, useId, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Drawing, Ways } from '../api/client'
import { useMotion } from '../api/models'
import FoldPicture from '../parts/FoldPicture.vue'
import { unpack } from './moments'
import type { PaperScene } from './PaperScene'
import { usePlayer } from './usePlayer'
import { useStills } from './useStills'

/** A step's picture that can move: still until it is played, then paper in space that can be turned. */
const props = withDefaults(
  defineProps<{
    slug: string
    /** of the model itself, not of the lesson */
    step: number
    ways?: Ways
    drawing: Drawing
    title: string
    front?: string
    back?: string
    /** asks for the motion before anybody plays it */
    ahead?: boolean
    /** what it can do is said in words, beside others that the screen has; the line of moments comes when it moves */
    words?: boolean
  }>(),
  { ways: () => ({}), front: '#0E6E7C', back: '#FDFCF8' },
)
const emit = defineEmits<{ moves: [boolean] }>()
const { t } = useI18n()
/** Radians: a turn by key. */
const TURN = Math.PI / 12

const wanted = ref(false)
const motion = useMotion(
  () => props.slug,
  () => props.ways,
  () => props.step,
  () => wanted.value || props.ahead,
)
const pieces = computed(() => (motion.data.value?.pieces ?? []).map(unpack))
const moves = computed(() => (motion.data.value ? pieces.value.length > 0 : undefined))
watch(
  moves,
  (is) => {
    if (is !== undefined) emit('moves', is)
    if (is && props.ahead) void import('./PaperScene') // so that the first press finds it loaded
  },
  { immediate: true },
)
const { share, playing, slowly, play, stop } = usePlayer(() =>
  pieces.value.reduce((sum, piece) => sum + piece.moments - 1, 0),
)

const canvas = ref<HTMLCanvasElement>()
const { width, height } = useElementSize(canvas)
const scene = shallowRef<PaperScene>()
const failed = ref(false)
const shown = computed(() => wanted.value && moves.value === true && !failed.value)
const yaw = ref(0)
const pitch = ref(0)
/** Where less motion is wanted, four moments stand side by side instead. */
const { calm, wanted: stillsWanted, stills } = useStills(scene, canvas, { yaw, pitch, width, height })
const fromBehind = computed(() => Math.cos(yaw.value) < 0)

function close() {
  stop()
  scene.value?.dispose()
  scene.value = undefined
}
watch(
  () => [props.slug, props.step, props.ways],
  () => {
    close()
    wanted.value = stillsWanted.value = false
    share.value = yaw.value = pitch.value = 0
  },
)
onBeforeUnmount(close)

/** Opens the scene, if it is not open; false where there is nothing that moves. Pressed twice, it is opened once. */
let opening: Promise<boolean> | undefined
function open(): Promise<boolean> {
  opening ??= opened().finally(() => { opening = undefined })
  return opening
}
async function opened(): Promise<boolean> {
  const asked = props.step
  wanted.value = true
  if (motion.error.value) await motion.refetch() // it was lost on the way; perhaps the line is back
  else if (!motion.data.value) await motion.suspense().catch(() => undefined)
  if (scene.value || failed.value || moves.value !== true) return scene.value !== undefined
  const { PaperScene: Opened } = await import('./PaperScene')
  await nextTick()
  if (!canvas.value || asked !== props.step) return false // another step has come meanwhile
  try {
    const { side = 150, view } = motion.data.value ?? {}
    scene.value = new Opened(
      canvas.value,
      pieces.value,
      side,
      { front: props.front, back: props.back },
      view?.stands ? radians(view.roll) : undefined,
    )
    if (view?.stands) look()
  } catch {
    failed.value = true
  }
  return scene.value !== undefined
}
const radians = (degrees: number) => (degrees * Math.PI) / 180
/** From where the model says it is best seen. */
function look() {
  const view = motion.data.value?.view
  yaw.value = radians(view?.turn ?? 0)
  pitch.value = radians(view?.tilt ?? 0)
}
async function toggle(): Promise<void> {
  if (playing.value) return stop()
  if (stillsWanted.value) return void (stillsWanted.value = false)
  if (await open()) {
    if (pitch.value === 0 && yaw.value === 0) look()
    if (calm.value) stillsWanted.value = true
    else play()
  }
}
async function turnTo(across: number, up: number) {
  if (!(await open())) return
  yaw.value += across
  pitch.value = Math.max(-Math.PI / 2, Math.min(Math.PI / 2, pitch.value + up))
}
const behind = () => turnTo(Math.PI, 0)
async function slide(event: Event) {
  stop()
  stillsWanted.value = false
  const to = Number((event.target as HTMLInputElement).value)
  if (await open()) share.value = to
}
let held: { x: number; y: number } | undefined
function grab(event: PointerEvent) {
  held = { x: event.clientX, y: event.clientY }
  ;(event.target as HTMLElement).setPointerCapture(event.pointerId)
}
function drag(event: PointerEvent) {
  if (!held) return
  void turnTo(-(event.clientX - held.x) / 120, (event.clientY - held.y) / 120)
  held = { x: event.clientX, y: event.clientY }
}
watch([scene, share, yaw, pitch, width, height], () => { scene.value?.draw(share.value, yaw.value, pitch.value) })

/** What keys do; the screen that shows it listens. */
const keys: Record<string, () => void> = {
  p: () => void toggle(),
  o: () => { slowly.value = !slowly.value },
  v: () => void behind(),
  j: () => void turnTo(-TURN, 0),
  k: () => void turnTo(TURN, 0),
  i: () => void turnTo(0, TURN),
  m: () => void turnTo(0, -TURN),
}
/** Plays it again from the beginning; false where it has not been opened. */
function replay(): boolean {
  if (!scene.value) return false
  share.value = 0
  if (calm.value) stillsWanted.value = true
  else play()
  return true
}
const playLabel = computed(() => {
  if (playing.value) return 'motion.stop'
  if (wanted.value && motion.isPending.value) return 'motion.coming'
  return calm.value ? 'motion.stills' : 'motion.play'
})
defineExpose({ keys, replay })
const name = useId()
</script>

<template>
  <figure class="motion">
    <div class="seen">
      <canvas
        v-if="shown"
        v-show="scene"
        ref="canvas"
        :class="{ behind: stills.length }"
        role="img"
        :aria-label="t('motion.of', { title, n: Math.round(share * 100) })"
        @pointerdown="grab"
        @pointermove="drag"
        @pointerup="held = undefined"
        @pointercancel="held = undefined"></canvas>
      <ol v-if="stills.length" class="list stills">
        <li v-for="(still, i) in stills" :key="i">
          <img :src="still" :alt="t('motion.moment', { title, n: i + 1, m: stills.length })" /><b>{{ i + 1 }}</b>
        </li>
      </ol>
      <FoldPicture v-if="!scene" :drawing="drawing" :title="title" :front="front" :back="back" />
    </div>
    <p v-if="wanted && motion.error.value && !motion.isFetching.value" class="quiet" role="alert">
      {{ t('motion.lost') }}
    </p>
    <figcaption v-if="words || (moves !== false && !failed)" class="controls" :class="{ words }">
      <template v-if="moves !== false && !failed">
      <button type="button" class="play" :aria-pressed="playing || stillsWanted" @click="toggle">
        {{ t(playLabel) }}
        <kbd class="key">P</kbd>
      </button>
      <input
        v-if="!words || scene"
        :id="name"
        type="range"
        min="0"
        max="1"
        step="0.01"
        :value="share"
        :aria-label="t('motion.where')"
        @input="slide" />
      <button v-if="(!words || scene) && !calm" type="button" :aria-pressed="slowly" @click="slowly = !slowly">
        {{ t('motion.slow') }} <kbd class="key">O</kbd>
      </button>
      <button type="button" :aria-pressed="fromBehind" @click="behind">
        {{ t(fromBehind ? 'motion.front' : 'motion.behind') }} <kbd class="key">V</kbd>
      </button>
      </template>
      <slot name="words" />
    </figcaption>
    <figcaption v-else-if="wanted" class="quiet" role="status">
      {{ t(failed ? 'motion.noGraphics' : 'motion.none') }}
    </figcaption>
  </figure>
</template>

<style scoped>
.motion { margin: 0; height: 100%; display: grid; grid-template-rows: minmax(0, 1fr); grid-auto-rows: auto; gap: 10px; }
.seen { position: relative; min-height: 0; filter: drop-shadow(0 5px 6px rgb(23 37 45 / 0.2)); }
canvas, .stills img { background: var(--mat); }
canvas { position: absolute; inset: 0; width: 100%; height: 100%; touch-action: none; cursor: grab; }
.behind { visibility: hidden; }
.stills { position: absolute; inset: 0; display: grid; grid-template-columns: 1fr 1fr; gap: 8px; }
.stills li { position: relative; min-height: 0; }
.stills img { width: 100%; height: 100%; object-fit: contain; }
.stills b { position: absolute; left: 0; top: 0; font-family: var(--head); font-size: 1.2rem; }
.controls { display: flex; flex-wrap: wrap; gap: 8px; align-items: center; }
.controls button {
  min-height: 44px; padding: 0 12px; font-size: 0.95rem; background: var(--bar); color: white; font-weight: 650;
  white-space: nowrap;
}
.controls button[aria-pressed='true'] { background: var(--tide); }
.controls input { flex: 1; min-width: 60px; height: 44px; accent-color: var(--tide); }
.words { gap: 0 18px; border-top: 2px solid var(--ink); }
.words :deep(button) { background: none; color: var(--tide-deep); padding: 0; text-decoration: underline; }
.words :deep(button[aria-pressed='true']), .words :deep(button[aria-expanded='true']) {
  background: none; color: var(--ink); text-decoration: none; box-shadow: inset 0 -3px var(--now);
}
.words :deep(button) { font-size: 1rem; font-weight: 650; min-height: 44px; }
.key { font-size: 0.8em; }
@media (max-width: 640px) { .controls .key { display: none; } .controls button { padding: 0 9px; } }
</style>
