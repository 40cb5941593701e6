<script setup lang="ts">
import { computed, nextTick, ref, useTemplateRef } from 'vue'
import { useI18n } from 'vue-i18n'
import { client, type GroupData, Problem } from '../api/client'
import { useGroups, useMe, useSaveGroup } from '../api/groups'
import { useRemoving } from '../bin/useRemoving'
import AskState from '../parts/AskState.vue'
import DraftNote from '../parts/DraftNote.vue'
import LearnerList, { type Entry } from './LearnerList.vue'
import { useBounds } from '../parts/bounds'
import { showFirstFault } from '../parts/firstFault'
import { mayLetGo, useUnsaved } from '../parts/unsaved'

const { t } = useI18n()
const { between } = useBounds()
const me = useMe()
const groups = useGroups()
const save = useSaveGroup()
const editing = ref<GroupData | null>(null)
const title = ref<HTMLHeadingElement | null>(null)
const blank = () => ({ name: '', age: 'junior', helpers: '0', table: '4', learners: [] as Entry[], names: '' })
const form = ref(blank())
const unsaved = useUnsaved(
  () => `group-${editing.value ? `${editing.value.id}-${editing.value.version}` : 'new'}`,
  () => JSON.stringify(form.value),
  (text) => { form.value = JSON.parse(text) as ReturnType<typeof blank> },
)
const sheet = useTemplateRef<HTMLFormElement>('sheet')
/** Begins the form anew. */
function clear() {
  editing.value = null
  form.value = blank()
  unsaved.settle()
}
const fields = computed(() => (save.error.value instanceof Problem ? save.error.value.fields : {}))
/** What is wrong with which learner of the list, counted through the rows and the new names after them. */
const wrong = computed(() =>
  Object.entries(fields.value).flatMap(([at, why]) => {
    const line = /^learners\/(\d+)/.exec(at)?.[1]
    return line === undefined ? [] : [[Number(line), why] as const]
  }),
)
const rowErrors = computed(() => Object.fromEntries(wrong.value.filter(([n]) => n < form.value.learners.length)))
const nameErrors = computed(() => [
  ...(fields.value['learners'] ? [fields.value['learners']] : []),
  ...wrong.value
    .filter(([n]) => n >= form.value.learners.length)
    .map(([n, why]) => t('groups.nameAt', { n: n - form.value.learners.length + 1, why })),
])

async function change(group: GroupData) {
  if (!(await mayLetGo())) return
  save.reset()
  editing.value = group
  form.value = {
    name: group.name,
    age: group.age_band,
    helpers: String(group.helpers),
    table: String(group.table_size),
    learners: group.learners.map(({ id, name }) => ({ id, name })),
    names: '',
  }
  unsaved.settle()
  // on a phone the form lies below the list
  void nextTick(() => {
    title.value?.focus({ preventScroll: true })
    const top = title.value?.getBoundingClientRect().top ?? 0
    if (top < 0 || top > window.innerHeight / 2) title.value?.scrollIntoView({ block: 'start' })
  })
}

async function submit() {
  const more = form.value.names
    .split('\n')
    .map((n) => n.trim())
    .filter((n) => n !== '')
  const body = {
    name: form.value.name,
    age_band: form.value.age,
    helpers: Number(form.value.helpers),
    table_size: form.value.table === '' ? null : Number(form.value.table),
    learners: [...form.value.learners, ...more.map((name) => ({ id: null, name }))],
    ...(editing.value ? { version: editing.value.version } : {}),
  }
  if (await save.mutateAsync({ ...(editing.value ? { id: editing.value.id } : {}), body }).catch(() => null)) {
    unsaved.done()
    clear()
  } else await showFirstFault(sheet.value)
}

async function stopEditing() {
  if (await mayLetGo()) clear()
}

const leaving = ref(0)
const removing = useRemoving((sure) =>
  client.DELETE('/api/groups/{group}', { params: { path: { group: leaving.value }, query: { sure } } }),
)
async function remove(group: GroupData) {
  leaving.value = group.id
  if ((await removing.remove()) && editing.value?.id === group.id) clear()
}
</script>

<template>
  <AskState v-if="!groups.data.value" :error="groups.error.value" @again="groups.refetch()" />
  <div v-else class="page layout">
    <section class="stack">
      <h1>{{ groups.data.value.length ? t('groups.title', { n: groups.data.value.length }) : t('groups.empty') }}</h1>
      <p v-if="groups.data.value.length === 0" class="quiet">{{ t('groups.emptyText') }}</p>
      <article v-for="group in groups.data.value" :key="group.id" class="sheet">
        <div class="row">
          <h2>{{ group.name }}</h2>
          <span class="quiet">{{ t('groups.learners', { n: group.learners.length }) }}, {{ group.age_label }}</span>
        </div>
        <p class="names">{{ group.learners.map((l) => l.name).join(', ') }}</p>
        <div class="row">
          <RouterLink :to="{ name: 'wall', params: { id: group.id } }"
            ><b>{{ t('groups.wall') }}</b></RouterLink
          >
          <v-btn variant="outlined" height="44" @click="change(group)">{{ t('groups.change') }}</v-btn>
          <v-btn variant="text" height="44" color="error" class="ml-auto" @click="remove(group)">{{
            t('app.remove')
          }}</v-btn>
        </div>
      </article>
    </section>
    <form ref="sheet" class="sheet stack" novalidate @submit.prevent="submit">
      <h2 ref="title" tabindex="-1">{{ editing ? t('groups.changing', { name: editing.name }) : t('groups.add') }}</h2>
      <DraftNote :unsaved="unsaved" />
      <v-text-field v-model="form.name" :label="t('groups.name')" :error-messages="fields['name']" />
      <v-select
        v-model="form.age"
        :label="t('groups.age')"
        :items="(me.data.value?.age_bands ?? []).map((b) => ({ value: b.key, title: b.label }))"
        :error-messages="fields['age_band']" />
      <div class="pair">
        <v-text-field
          v-model="form.helpers"
          type="number"
          v-bind="between('helpers')"
          :label="t('groups.helpers')"
          :error-messages="fields['helpers']" /><v-text-field
          v-model="form.table"
          type="number"
          v-bind="between('table_size')"
          :label="t('groups.table')"
          :error-messages="fields['table_size']" />
      </div>
      <LearnerList v-if="form.learners.length" v-model="form.learners" :errors="rowErrors" />
      <v-textarea
        v-model="form.names"
        :label="t(form.learners.length ? 'groups.moreNames' : 'groups.names')"
        :rows="form.learners.length ? 3 : 10"
        :error-messages="nameErrors" />
      <p v-if="save.error.value && !Object.keys(fields).length" class="warn" role="alert">
        {{ save.error.value.message }}
      </p>
      <div class="row">
        <v-btn type="submit" color="primary" class="fold-button" :loading="save.isPending.value">{{
          t('app.save')
        }}</v-btn><v-btn
          v-if="editing"
          variant="text"
          @click="stopEditing"
          >{{ t('app.cancel') }}</v-btn
        >
      </div>
      <p v-if="removing.error.value" class="warn" role="alert">{{ removing.error.value }}</p>
    </form>
  </div>
</template>

<style scoped>
/* focused by "Change" only, so that reading goes on there */
h2:focus { outline: none; box-shadow: none; scroll-margin-top: 24px; }
.layout { display: grid; grid-template-columns: 1fr 360px; gap: 32px; align-items: start; }
.pair { display: grid; grid-template-columns: 1fr 1fr; gap: 12px; }
.names { margin: 10px 0; }
@media (max-width: 900px) { .layout { grid-template-columns: 1fr; } }
</style>
