<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { FoldData } from '../api/client'
import { useFoldStanding } from '../api/groups'
import { useFoldPictures, useFolds } from '../api/models'
import AskState from '../parts/AskState.vue'
import FoldPicture from '../parts/FoldPicture.vue'
import { useAskedGroup } from './askedGroup'

/** Every kind of fold, simple ones first, with how far a group has come. */
const { t } = useI18n()
const folds = useFolds()
const pictures = useFoldPictures()
const { groups, group, choose } = useAskedGroup()
const standing = useFoldStanding(() => group.value?.id ?? null)

const drawing = (kind: string) => pictures.data.value?.find((p) => p.kind === kind)?.drawing
const stand = (kind: string) => standing.data.value?.find((s) => s.kind === kind)
const parts = computed(() => {
  const all = folds.data.value ?? []
  const easy = (fold: FoldData) => fold.is_fold && fold.before.length === 0 && fold.hardest < 4
  return [
    { key: 'simple', list: all.filter(easy) },
    { key: 'compound', list: all.filter((fold) => fold.is_fold && !easy(fold)) },
    { key: 'handling', list: all.filter((fold) => !fold.is_fold) },
  ]
})
/** The answer first: what most of the group can, and what is new to everybody. */
const most = (kind: string) => 2 * (stand(kind)?.alone ?? 0) > (group.value?.learners.length ?? 0)
const can = computed(() => (folds.data.value ?? []).filter((f) => f.is_fold && most(f.kind)).length)
const all = computed(() => (folds.data.value ?? []).filter((f) => f.is_fold).length)
</script>

<template>
  <AskState v-if="!folds.data.value" :error="folds.error.value" @again="folds.refetch()" />
  <div v-else class="page">
    <h1>
      {{
        group && can > 0
          ? t('folds.answer', { n: can, m: all, group: group.name })
          : group
            ? t('folds.none', { m: all, group: group.name })
            : t('folds.title', { m: all })
      }}
    </h1>
    <p class="row quiet">
      {{ t('folds.sub') }}
      <label v-if="group"
        >{{ t('shelf.group') }}
        <select :value="group.id" @change="choose($event)">
          <option v-for="g in groups" :key="g.id" :value="g.id">{{ g.name }}</option>
        </select></label
      >
      <RouterLink class="ml-auto" :to="{ name: 'cards', params: { kind: 'all' } }">{{ t('folds.cards') }}</RouterLink>
    </p>
    <section v-for="part in parts" :key="part.key">
      <h2>{{ t(`folds.${part.key}`) }}</h2>
      <ul class="list board">
        <li v-for="fold in part.list" :key="fold.kind">
          <RouterLink :to="{ name: 'fold', params: { kind: fold.kind } }">
            <span class="picture"
              ><FoldPicture v-if="drawing(fold.kind)" :drawing="drawing(fold.kind)!" :title="fold.name"
            /></span>
            <span class="text">
              <b class="name">{{ fold.name }}</b>
              <span>{{ fold.what }}</span>
              <span v-if="stand(fold.kind) && group" class="quiet">{{
                (stand(fold.kind)?.alone ?? 0) + (stand(fold.kind)?.helped ?? 0) === 0
                  ? t('folds.new')
                  : t('folds.alone', { n: stand(fold.kind)?.alone, m: stand(fold.kind)?.of })
              }}</span>
            </span>
          </RouterLink>
        </li>
      </ul>
    </section>
  </div>
</template>

<style scoped>
h1 { margin-bottom: 6px; max-width: 52rem; }
h2 { margin: 26px 0 10px; border-top: 3px solid var(--ink); padding-top: 8px; }
select { background: var(--paper); padding: 6px 10px; border-bottom: 2px solid var(--ink); font-weight: 650; }
.board { display: grid; grid-template-columns: repeat(auto-fill, minmax(360px, 1fr)); gap: 2px 32px; }
.board a {
  display: grid; grid-template-columns: 92px 1fr; gap: 18px; align-items: center; padding: 10px 0; color: inherit;
  text-decoration: none; border-bottom: 1px solid var(--rule); height: 100%;
}
.board a:hover .name { text-decoration: underline; }
.picture { height: 92px; filter: drop-shadow(0 3px 4px rgb(23 37 45 / 0.2)); }
.text { display: grid; gap: 2px; line-height: 1.35; }
.name { font-family: var(--head); font-size: 1.15rem; }
@media (max-width: 480px) { .board { grid-template-columns: 1fr; } }
</style>
