<script setup lang="ts">
import { ref } from 'vue'
import { useI18n } from 'vue-i18n'
import type { RouteLocationRaw } from 'vue-router'
import { useBounds } from '../parts/bounds'

/** What is seldom needed in front of a class: pause, another way, the wall, an end in the middle. */
const props = defineProps<{
  id: number
  preview: boolean
  /** nothing is taught: nobody is written down, nothing stands still, there is no second screen */
  rehearsed: boolean
  paused: boolean
  /** in the middle of the lesson, which has not ended */
  mayEnd: boolean
  /** begun a moment ago, and nobody marked */
  mayUnbegin: boolean
  ways: RouteLocationRaw | null
  wish: 'exception' | 'close'
}>()
const emit = defineEmits<{
  pause: []
  unbegin: []
  end: []
  undo: []
  dark: []
  wish: [to: 'exception' | 'close']
  join: [name: string]
  shut: []
}>()
const guest = ref('')
const { most } = useBounds()
function join() {
  if (guest.value.trim() !== '') emit('join', guest.value)
  guest.value = ''
}
const { t } = useI18n()
/** Onto the second screen. */
function openWall() {
  window.open(`/lessons/${props.id}/wall`, `wall-${props.id}`, 'popup,width=1280,height=720')
  emit('shut')
}
</script>

<template>
  <section class="more" :aria-label="t('stage.more')">
    <button v-if="!preview && !rehearsed" type="button" @click="$emit('undo')">
      {{ t('stage.undo') }} <kbd class="key">U</kbd>
    </button>
    <button v-if="!preview && !rehearsed" type="button" @click="$emit('pause')">
      {{ t(paused ? 'stage.resume' : 'stage.pause') }}
    </button>
    <button v-if="!rehearsed" type="button" @click="openWall">{{ t('stage.wall') }}</button>
    <button type="button" @click="$emit('dark')">{{ t('stage.darkNow') }} <kbd class="key">B</kbd></button>
    <RouterLink v-if="ways" :to="ways">{{ t('stage.ways') }} <kbd class="key">W</kbd></RouterLink>
    <form v-if="!rehearsed" class="join" @submit.prevent="join">
      <input
        v-model="guest"
        :maxlength="most('learner_name')"
        :aria-label="t('stage.guest')"
        :placeholder="t('stage.guest')" />
      <button type="submit">{{ t('stage.guestAdd') }}</button>
    </form>
    <label v-if="preview">
      <input
        type="checkbox"
        :checked="wish === 'close'"
        @change="$emit('wish', ($event.target as HTMLInputElement).checked ? 'close' : 'exception')" />
      {{ t('stage.close2') }}
    </label>
    <RouterLink :to="{ name: 'help', query: { of: 'teach', lesson: id } }" target="_blank">{{
      t('app.help')
    }}</RouterLink>
    <RouterLink :to="{ name: 'plan', params: { id } }">{{ t('stage.leave') }}</RouterLink>
    <button v-if="mayUnbegin" type="button" @click="$emit('unbegin')">{{ t('stage.unbegin') }}</button>
    <button v-if="mayEnd" type="button" class="end" @click="$emit('end')">{{ t('stage.endHere') }}</button>
  </section>
</template>

<style scoped>
.more {
  position: absolute; right: 0; bottom: 100%; width: min(360px, 100vw); background: var(--paper);
  box-shadow: var(--shadow); border-top: 4px solid var(--now); display: grid; z-index: 4; color: var(--ink);
}
button, a, label {
  min-height: 52px; padding: 0 20px; text-align: left; display: flex; align-items: center; gap: 10px; color: var(--ink);
  border-bottom: 1px solid var(--rule); font-weight: 650; text-decoration: none; font-size: 1.05rem;
}
label input { width: 22px; height: 22px; accent-color: var(--tide); }
.join { display: grid; grid-template-columns: 1fr auto; border-bottom: 1px solid var(--rule); }
.join input { width: auto; height: 52px; padding: 0 20px; background: none; border: 0; font: inherit; }
.join button { border: 0; }
.end { color: var(--warn); }
</style>
