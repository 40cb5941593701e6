<script setup lang="ts">
import { useLocalStorage } from '@vueuse/core'
import { computed, reactive, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Ways } from '../api/client'
import { useModel, useModels } from '../api/models'
import AskState from '../parts/AskState.vue'
import FoldPicture from '../parts/FoldPicture.vue'
import MotionDialog, { type Shown } from '../space/MotionDialog.vue'
import SizeReckoner from './SizeReckoner.vue'
import StringReckoner from './StringReckoner.vue'
import WaysOfTeaching from '../ways/WaysOfTeaching.vue'
import WrongOnes from './WrongOnes.vue'

const props = defineProps<{ slug: string }>()
const { t } = useI18n()
const ways = ref<Ways>({})
const model = useModel(() => props.slug, ways)
const models = useModels()
const s = computed(() => model.data.value?.summary)
const colours = useLocalStorage('paper', { front: '#0e6e7c', back: '#fdfcf8' })
const swatches = ['#0e6e7c', '#b23a26', '#f4b31a', '#5b4b8a'] as const
const hard = computed(() => (model.data.value?.steps ?? []).filter((step) => step.hard))
const lists = computed(() =>
  (['play', 'talk', 'decorate', 'display'] as const)
    .map((key) => ({ key, texts: model.data.value?.[key] ?? [] }))
    .filter((l) => l.texts.length > 0),
)
const chosen = computed(() =>
  Object.entries(ways.value)
    .map(([name, way]) => `${name}:${way}`)
    .join(','),
)
const query = computed(() =>
  new URLSearchParams(
    Object.entries(ways.value).map(([name, way]): [string, string] => [`ways[${name}]`, way]),
  ).toString(),
)
const get = (path: string, more = '') =>
  `/api/models/${props.slug}/${path}?${[query.value, more].filter((q) => q).join('&')}`

/** The easiest other model that teaches a fold. */
const teacher = (kind: string) => (models.data.value ?? []).find((m) => m.slug !== props.slug && m.kinds.includes(kind))
const moving = ref<Shown>()
/** Steps of which somebody wants to know what goes wrong. */
const asked = reactive(new Set<number>())
const choose = (passage: string, way: string) => {
  ways.value = { ...ways.value, [passage]: way }
}
</script>

<template>
  <AskState v-if="!model.data.value || !s" :error="model.error.value" @again="model.refetch()" />
  <div v-else class="page">
    <section class="top">
      <div class="picture"><FoldPicture :drawing="s.picture" :title="s.title" v-bind="colours" /></div>
      <div class="stack">
        <h1>{{ s.title }}</h1>
        <p class="say">{{ s.about }}</p>
        <p v-if="s.opened" class="quiet">{{ t('shelf.opened', { what: s.opened }) }}</p>
        <div class="facts">
          <p class="rule">
            <b
              >{{ t('shelf.steps', { n: model.data.value.steps.length }) }},
              {{ t('shelf.difficulty', { n: s.difficulty }) }}</b
            ><br /><span class="quiet"
              >{{ t('shelf.age', { n: s.age_from }) }}, {{ t('shelf.layers', { n: s.most_layers }) }}</span
            >
          </p>
          <p class="rule">
            <b>{{ t('shelf.teaches') }}</b><br />
            <span v-for="(kind, i) in s.kinds" :key="kind" class="taught">
              <RouterLink :to="{ name: 'fold', params: { kind } }">{{ s.folds[i] }}</RouterLink>
            </span>
          </p>
          <p class="rule">
            <b>{{ t('shelf.needs') }}</b><br />
            <span v-for="need in model.data.value.needs" :key="need.kind" class="need"
              >{{ need.name
              }}<RouterLink
                v-if="teacher(need.kind)"
                :to="{ name: 'model', params: { slug: teacher(need.kind)?.slug } }"
                >, {{ t('shelf.learnIn') }} {{ teacher(need.kind)?.title }}</RouterLink
              ></span
            >
            <span v-if="model.data.value.needs.length === 0" class="quiet">{{ t('shelf.easy') }}</span>
          </p>
        </div>
        <div class="row">
          <v-btn
            color="primary"
            class="fold-button"
            :to="{ name: 'new-lesson', query: { model: slug, ...(chosen ? { ways: chosen } : {}) } }"
            >{{ t('shelf.plan') }}</v-btn
          >
          <RouterLink :to="{ name: 'handout', params: { slug }, query: chosen ? { ways: chosen } : {} }">{{
            t('handout.print')
          }}</RouterLink>
          <RouterLink :to="{ name: 'decorate', params: { slug }, query: chosen ? { ways: chosen } : {} }">{{
            t('decorate.link')
          }}</RouterLink>
          <fieldset class="swatches">
            <legend class="quiet">{{ t('shelf.colours') }}</legend>
            <button
              v-for="c in swatches"
              :key="c"
              type="button"
              :style="{ background: c }"
              :aria-label="c"
              :aria-pressed="c === colours.front"
              @click="colours.front = c"></button>
            <label class="quiet">{{ t('shelf.front') }} <input v-model="colours.front" type="color" /></label
            ><label class="quiet">{{ t('shelf.back') }} <input v-model="colours.back" type="color" /></label>
          </fieldset>
        </div>
      </div>
    </section>
    <section class="two">
      <SizeReckoner class="sheet" :summary="s" />
      <div class="sheet stack">
        <h2>{{ t('shelf.hard') }}</h2>
        <p v-for="step in hard" :key="step.number">
          <a :href="`#step-${step.number}`"
            ><b>{{ step.number }} {{ step.name }}</b></a
          >, {{ t('shelf.level', { n: step.level }) }}. <span class="quiet">{{ step.reasons.join(' ') }}</span>
        </p>
        <p v-for="caution in model.data.value.cautions" :key="caution" class="caution">{{ caution }}</p>
      </div>
    </section>
    <WaysOfTeaching
      v-if="model.data.value.passages.length"
      :slug="slug"
      :ways="ways"
      v-bind="colours"
      @choose="choose"
    />
    <h2 class="mt-6 mb-3">{{ t('shelf.ease') }}</h2>
    <ol class="steps list">
      <li
        v-for="step in model.data.value.steps"
        :id="`step-${step.number}`"
        :key="step.number"
        :class="{ wide: step.halfway }">
        <div class="strip">
          <FoldPicture :drawing="step.before" :title="`${step.number} ${step.name}`" v-bind="colours" />
          <template v-if="step.halfway"
            ><FoldPicture :drawing="step.halfway" :title="t('shelf.halfway')" v-bind="colours" /><FoldPicture
              :drawing="step.after"
              :title="t('stage.after')"
              v-bind="colours"
          /></template>
          <FoldPicture
            v-else-if="step.close_up"
            class="closer"
            :drawing="step.close_up"
            :title="t('shelf.closeUp')"
            v-bind="colours" />
        </div>
        <h3>
          {{ step.number }} {{ step.name }}<span v-if="step.part" class="quiet"> ({{ step.part }})</span>
        </h3>
        <p>{{ step.sentence }}</p>
        <p v-if="step.note" class="quiet">{{ step.note }}</p>
        <p v-for="c in step.cautions" :key="c" class="caution">{{ c }}</p>
        <p v-if="step.because || step.stop" class="why quiet">
          {{ [step.because, step.stop].filter(Boolean).join(' ') }}
        </p>
        <p v-if="step.resting" class="good">{{ t('shelf.rest') }}</p>
        <details @toggle="asked.add(step.number)">
          <summary>{{ t('faults.if') }}</summary>
          <WrongOnes v-if="asked.has(step.number)" :slug="slug" :ways="ways" :step="step.number" v-bind="colours" />
        </details>
        <details v-if="step.raw.length > 0">
          <summary>{{ t('shelf.raw') }}</summary>
          <code v-for="line in step.raw" :key="line">{{ line }}<br /></code>
        </details>
        <p class="take">
          <button type="button" class="move" @click="moving = { ...step, drawing: step.before }">
            {{ t('motion.see') }}
          </button>
          <a :href="get(`steps/${step.number}.svg`)">{{ t('shelf.stepSvg') }}</a>
          <a :href="get('fold', `step=${step.number}`)">{{ t('shelf.stepFold') }}</a>
        </p>
      </li>
      <li>
        <div class="strip"><FoldPicture :drawing="s.picture" :title="s.title" v-bind="colours" /></div>
        <h3>{{ t('shelf.finished') }}</h3>
        <p>{{ model.data.value.end_checks.join(' ') }}</p>
      </li>
    </ol>
    <MotionDialog v-model="moving" :slug="slug" :ways="ways" v-bind="colours" />
    <section class="hints">
      <div v-for="list in lists" :key="list.key" class="rule">
        <h2>{{ t(`shelf.${list.key}`) }}</h2>
        <p v-for="text in list.texts" :key="text">{{ text }}</p>
      </div>
      <div class="rule">
        <h2>{{ t('string.title') }}</h2>
        <StringReckoner :model="slug" />
      </div>
      <div class="rule">
        <h2>{{ t('shelf.get') }}</h2>
        <div class="creases"><FoldPicture :drawing="model.data.value.pattern" :title="t('shelf.creases')" /></div>
        <p>
          <a :href="get('creases.svg')">{{ t('shelf.creases') }}</a>
        </p>
        <p>
          <a :href="get('fold')">{{ t('shelf.foldFile') }}</a>
        </p>
      </div>
    </section>
  </div>
</template>

<style scoped>
.top { display: grid; grid-template-columns: 320px 1fr; gap: 36px; align-items: center; padding: 12px 0 24px; }
.picture { height: 280px; filter: drop-shadow(0 8px 10px rgb(23 37 45 / 0.25)); }
h1 { font-size: 2.8rem; font-weight: 800; }
.say { font-size: 1.2rem; }
.facts { display: grid; grid-template-columns: repeat(3, 1fr); gap: 24px; }
.taught:not(:last-child)::after { content: ', '; }
.need { display: block; color: var(--ink-2); }
.two { display: grid; grid-template-columns: 1fr 1fr; gap: 24px; align-items: start; }
.two .stack { gap: 10px; }
.swatches { border: 0; padding: 0; display: flex; gap: 6px; align-items: center; flex-wrap: wrap; }
.swatches legend { float: left; padding-right: 8px; }
.swatches button { width: 44px; height: 44px; }
.swatches button[aria-pressed='true'] { box-shadow: 0 0 0 3px var(--table), 0 0 0 6px var(--ink); }
.swatches input { width: 44px; height: 44px; border: 0; padding: 0; background: none; vertical-align: middle; }
.steps { display: flex; flex-wrap: wrap; box-shadow: var(--shadow); }
.steps li {
  flex: 1 1 236px; min-width: 0; padding: 18px; display: flex; flex-direction: column;
  background: linear-gradient(90deg, var(--paper) 60%, var(--shade-2));
  gap: 4px; scroll-margin-top: 12px;
}
.steps li:nth-child(even) { background: linear-gradient(90deg, var(--shade-3), var(--shade-1) 60%); }
.steps li.wide { flex: 2 1 472px; }
.strip {
  height: 180px; margin-bottom: 10px; display: grid; grid-auto-flow: column; grid-auto-columns: minmax(0, 1fr);
  gap: 12px; position: relative;
}
.closer {
  position: absolute; right: 0; bottom: 0; width: 84px; height: 84px; background: var(--paper);
  box-shadow: 0 0 0 1.5px var(--ink);
}
.why { font-size: 0.92rem; border-left: 4px solid var(--now); padding-left: 8px; }
.take {
  display: flex; flex-wrap: wrap; gap: 4px 14px; align-items: center; margin-top: auto; padding-top: 6px;
  font-size: 0.85rem;
}
.move {
  background: var(--bar); color: white; font-weight: 650; min-height: 44px; padding: 0 14px; font-size: 0.95rem;
  white-space: nowrap;
}
code { font-size: 0.8rem; }
.hints { display: grid; grid-template-columns: repeat(auto-fit, minmax(210px, 1fr)); gap: 24px; margin-top: 28px; }
.hints p { margin-top: 6px; }
.creases { height: 150px; margin: 8px 0; }
@media (max-width: 900px) { .top, .two { grid-template-columns: 1fr; } .facts { grid-template-columns: 1fr; } }
@media (max-width: 560px) { .steps li.wide { flex-basis: 236px; } }
</style>
