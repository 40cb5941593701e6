<script setup lang="ts">
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { useFoldStanding } from '../api/groups'
import { useFold } from '../api/models'
import AskState from '../parts/AskState.vue'
import FoldPicture from '../parts/FoldPicture.vue'
import MotionDialog, { type Shown } from '../space/MotionDialog.vue'
import { useAskedGroup } from './askedGroup'
import TaughtIn from './TaughtIn.vue'

/** A kind of fold: how it goes, what goes wrong, where it is taught, and how far a group has come. */
const props = defineProps<{ kind: string }>()
const { t } = useI18n()
const page = useFold(() => props.kind)
const { groups, group, choose } = useAskedGroup()
const standing = useFoldStanding(() => group.value?.id ?? null)
/** Models that are listed at once, easiest first. */
const FEW = 6
const fold = computed(() => page.data.value?.fold)
const stand = (kind: string) => standing.data.value?.find((s) => s.kind === kind)

/** How the group stands, in a sentence; nothing where there is no group. */
const far = computed(() => {
  const s = stand(props.kind)
  if (!s || !group.value || s.of === 0) return ''
  const of = { n: s.alone, h: s.helped, m: s.of, group: group.value.name }
  if (s.alone + s.helped === 0) return t('folds.nobody', of)
  const stands = s.helped > 0 ? t('folds.standHelp', of) : t('folds.stand', of)
  return s.unseen > 0 ? `${stands} ${t('folds.unseen', { n: s.unseen }, s.unseen)}` : stands
})
/** The step that is shown in motion: the one its pictures are of. */
const moving = ref<Shown>()
const example = computed(() => page.data.value?.pictures[0])
function see() {
  const { step: number, drawing } = example.value ?? {}
  if (fold.value && number !== undefined && drawing) {
    moving.value = { number, kind: props.kind, name: fold.value.name, sentence: fold.value.what, drawing }
  }
}
const short = (kind: string) => {
  const s = stand(kind)
  if (!s || s.of === 0) return ''
  return s.alone === s.of ? t('folds.allCan') : t('folds.of', { n: s.alone, m: s.of })
}
</script>

<template>
  <AskState v-if="!page.data.value || !fold" :error="page.error.value" @again="page.refetch()" />
  <div v-else class="page layout">
    <section class="stack">
      <div>
        <h1>{{ fold.name }}</h1>
        <p class="say">{{ fold.what }} {{ far }}</p>
      </div>
      <ol v-if="page.data.value.pictures.length" class="list strip">
        <li v-for="picture in page.data.value.pictures" :key="picture.show">
          <div class="picture">
            <FoldPicture
              :drawing="picture.drawing"
              :title="t(`folds.show.${picture.show}`, { model: picture.model, n: picture.step })" />
          </div>
          <span class="quiet">{{ t(`folds.show.${picture.show}`, { model: picture.model, n: picture.step }) }}</span>
        </li>
      </ol>
      <p v-else class="quiet">{{ t('folds.noPicture') }}</p>
      <p v-if="example && fold.is_fold">
        <button type="button" class="move" @click="see">{{ t('motion.see') }}</button>
      </p>
      <MotionDialog v-if="example" v-model="moving" :slug="example.slug" :ways="example.ways" />
      <div class="three">
        <div v-for="key in ['hold', 'press', 'stop'] as const" :key="key" class="rule">
          <h2>{{ t(`folds.${key}`) }}</h2>
          <p>{{ fold[key] }}</p>
        </div>
      </div>
      <div>
        <h2>{{ t('folds.wrong') }}</h2>
        <dl class="wrong">
          <div v-for="one in fold.wrong" :key="one.looks">
            <dt>{{ one.looks }}</dt>
            <dd>{{ one.cause }}</dd>
            <dd>
              <b>{{ one.remedy }}</b>
            </dd>
          </div>
        </dl>
      </div>
      <section v-if="page.data.value.two_sides.length" class="sides">
        <div>
          <h2>{{ t('folds.sides') }}</h2>
          <p>{{ t('folds.sidesText') }}</p>
        </div>
        <figure v-for="(drawing, i) in page.data.value.two_sides" :key="i">
          <div class="picture">
            <FoldPicture :drawing="drawing" :title="t(i === 0 ? 'folds.asValley' : 'folds.asMountain')" />
          </div>
          <figcaption class="quiet">{{ t(i === 0 ? 'folds.asValley' : 'folds.asMountain') }}</figcaption>
        </figure>
      </section>
    </section>
    <aside class="stack">
      <div v-if="group" class="rule">
        <label class="quiet"
          >{{ t('shelf.group') }}
          <select :value="group.id" @change="choose($event)">
            <option v-for="g in groups" :key="g.id" :value="g.id">{{ g.name }}</option>
          </select></label
        >
      </div>
      <div v-if="fold.before.length" class="rule">
        <h2>{{ t('folds.before') }}</h2>
        <p v-for="one in fold.before" :key="one.kind" class="line">
          <RouterLink :to="{ name: 'fold', params: { kind: one.kind } }">{{ one.name }}</RouterLink>
          <span class="quiet">{{ short(one.kind) }}</span>
        </p>
      </div>
      <div class="rule">
        <h2>{{ t('folds.taught') }}</h2>
        <TaughtIn :models="page.data.value.taught_in.slice(0, FEW)" />
        <details v-if="page.data.value.taught_in.length > FEW">
          <summary>{{ t('folds.more', { n: page.data.value.taught_in.length - FEW }) }}</summary>
          <TaughtIn :models="page.data.value.taught_in.slice(FEW)" />
        </details>
        <p v-if="page.data.value.taught_in.length === 0" class="quiet">{{ t('folds.nowhere') }}</p>
      </div>
      <div class="rule">
        <h2>{{ t('folds.safer') }}</h2>
        <p>{{ fold.safer }}</p>
      </div>
      <p class="rule quiet">{{ t('folds.takes', { n: fold.fold_seconds, m: fold.show_seconds }) }}</p>
      <v-btn color="primary" class="fold-button" :to="{ name: 'cards', params: { kind } }">{{ t('folds.card') }}</v-btn>
      <p class="quiet source">{{ t('folds.source', { source: page.data.value.source }) }}</p>
    </aside>
  </div>
</template>

<style scoped>
.layout { display: grid; grid-template-columns: minmax(0, 1fr) 340px; gap: 22px; align-items: start; }
h1 { font-size: 2.8rem; font-weight: 800; }
.say { font-size: 1.25rem; line-height: 1.4; }
.strip { display: grid; grid-auto-flow: column; grid-auto-columns: 1fr; box-shadow: var(--shadow); }
.strip li {
  padding: 18px 14px 10px; background: linear-gradient(90deg, var(--paper) 60%, var(--shade-2)); text-align: center;
}
.strip li:nth-child(even) { background: linear-gradient(90deg, var(--shade-3), var(--shade-1) 60%); }
.picture { height: 210px; }
.move { background: var(--bar); color: white; font-weight: 650; min-height: 44px; padding: 0 18px; }
.three { display: grid; grid-template-columns: repeat(3, 1fr); gap: 22px; }
.wrong { display: grid; grid-template-columns: repeat(auto-fit, minmax(240px, 1fr)); gap: 14px 22px; margin: 8px 0 0; }
.wrong > div { background: var(--paper); border: 2px dashed var(--warn); padding: 12px 16px; }
.wrong dt { font-weight: 700; }
.wrong dd { margin: 2px 0 0; font-weight: 400; }
.wrong dd b { font-weight: 600; }
.sides { display: grid; grid-template-columns: 1.3fr 1fr 1fr; gap: 22px; }
.sides figure { margin: 0; text-align: center; }
.sides .picture { height: 170px; }
.line { display: flex; justify-content: space-between; gap: 12px; padding: 7px 0; border-top: 1px solid var(--rule); }
.rule h2 + .line { border-top: 0; }
.line a { font-weight: 650; }
summary { padding: 7px 0; border-top: 1px solid var(--rule); cursor: pointer; }
.source { font-size: 0.85rem; }
select { background: var(--paper); padding: 6px 10px; border-bottom: 2px solid var(--ink); font-weight: 650; }
@media (max-width: 1000px) { .layout { grid-template-columns: minmax(0, 1fr); } }
@media (max-width: 640px) {
  .strip { grid-auto-flow: row; grid-template-columns: 1fr 1fr; }
  .picture { height: 150px; }
  .three, .sides { grid-template-columns: 1fr; }
}
</style>
