<script setup lang="ts">
import type { DefectKind } from '#core/defects'

/** How each defect looks on a piece of barrel, drawn; film is the pale band along its top. */
defineProps<{ kind: DefectKind }>()
</script>

<template>
  <svg viewBox="0 0 80 44" class="picture" aria-hidden="true">
    <rect x="0" y="19" width="80" height="6" class="steel" />
    <path v-if="kind === 'oval'" d="M8 10C24 4 30 15 42 9S62 6 72 11V34C60 41 50 30 40 36S20 41 8 33Z" class="wood" />
    <rect v-else-if="kind === 'step'" x="8" y="8" width="54" height="28" class="wood" />
    <rect v-else-if="kind === 'mechanism' || kind === 'crumb'" x="6" y="8" width="46" height="28" class="wood" />
    <rect v-else x="6" y="8" width="68" height="28" rx="2" class="wood" />
    <path v-if="!['oval', 'mechanism', 'crumb', 'step'].includes(kind)" d="M6 15C28 13 50 18 74 14M6 27C30 30 48 25 74 29" class="grain" />
    <path v-if="!['oval', 'mechanism', 'crumb'].includes(kind)" d="M8 11H72" class="shine" />

    <path v-if="kind === 'chip'" d="M74 8V20L68 18 66 13 59 12 57 8Z" class="gone" />
    <path v-if="kind === 'crack'" d="M14 22L26 19 33 24 46 20 55 24 67 21" class="line" />
    <g v-if="kind === 'void'">
      <ellipse cx="40" cy="21" rx="5" ry="3.2" class="dark" />
      <path d="M36.5 19.5Q40 17 43.5 19.5" class="rim" />
    </g>
    <g v-if="kind === 'ring scratches'">
      <path v-for="x in [18, 24, 27, 38, 41, 52, 58, 61]" :key="x" :d="`M${x} 8q3 14 0 28`" class="scratch" />
    </g>
    <g v-if="kind === 'heat checks'">
      <rect x="26" y="8" width="28" height="28" class="burnt" />
      <path d="M32 12v6l3 4M44 14l-2 7 4 5M38 26v6M50 22l-3 8" class="line" />
    </g>
    <g v-if="kind === 'ridges'">
      <path d="M6 8q4-4 8 0t8 0 8 0 8 0 8 0 8 0 8 0 8 0 4 0v6H6Z" class="film" />
      <path v-for="x in [14, 30, 46, 62]" :key="x" :d="`M${x} 12q3 12 0 24`" class="shine" />
    </g>
    <g v-if="kind === 'white dots'">
      <circle
        v-for="[x, y, r] in [[22, 16, 1.6], [30, 25, 1.1], [37, 18, 2], [45, 28, 1.3], [49, 15, 1.1], [57, 22, 1.7], [63, 30, 1]]"
        :key="x" :cx="x" :cy="y" :r="r" class="white"
      />
    </g>
    <g v-if="kind === 'foam'">
      <circle
        v-for="[x, y, r] in [[28, 16, 3], [34, 13, 2.2], [35, 19, 3.6], [42, 15, 2.8], [43, 22, 2], [49, 18, 3.2], [29, 23, 2]]"
        :key="`${x}${y}`" :cx="x" :cy="y" :r="r" class="bubble"
      />
    </g>
    <g v-if="kind === 'sand-through'">
      <path d="M28 14q14-7 26 2t-4 14-22-2-4-11Z" class="bare" />
      <path d="M30 18h20M30 22h22M33 26h16" class="grain" />
    </g>
    <g v-if="kind === 'bleed'">
      <rect x="6" y="8" width="26" height="28" class="red" />
      <path d="M32 10q8 2 13 0-4 4 3 8-8 0-6 6-6 0-4 8l-6 3Z" class="stain" />
    </g>
    <g v-if="kind === 'lifting'"><path d="M74 8V34Q60 30 61 20T74 8Z" class="pale" /><path d="M74 8l4-3-9 5" class="line" /></g>
    <g v-if="kind === 'chipped end'">
      <path d="M74 8V36L68 32 71 27 66 22 70 15 67 8Z" class="bare" />
      <path d="M67 8l3 7-4 7 5 5-3 5 6 4" class="line" />
    </g>
    <g v-if="kind === 'soft film'">
      <rect x="6" y="8" width="68" height="28" rx="2" class="milk" />
      <path d="M34 16q6-5 12 0v10q-6 6-12 0ZM37 18q3-2 6 0M37 21q3-2 6 0M37 24q3-2 6 0" class="print" />
    </g>
    <g v-if="kind === 'fish-eyes'">
      <g v-for="[x, y] in [[24, 18], [40, 26], [54, 16]]" :key="x">
        <circle :cx="x" :cy="y" r="4.4" class="crater" />
        <circle :cx="x" :cy="y" r="1.5" class="dark" />
      </g>
    </g>
    <path v-if="kind === 'blush'" d="M10 14q12-8 26-3t34-1v20q-14 7-30 3t-30 1Z" class="veil" />
    <g v-if="kind === 'step'">
      <rect x="62" y="11" width="14" height="22" class="steel-dark" />
      <path d="M62 2v8M58.500 6h7" class="arrow" />
    </g>
    <path v-if="kind === 'oval'" d="M8 7H72M8 38H72" class="straight" />
    <g v-if="kind === 'mechanism'">
      <path d="M52 10l18 9v6l-18 9Z" class="steel-dark" />
      <path d="M70 22h3" class="point" />
      <path d="M62 38h14m-4-3 4 3-4 3" class="arrow" />
    </g>
    <g v-if="kind === 'crumb'">
      <rect x="6" y="16" width="46" height="12" class="bore" />
      <path d="M6 16h46M6 28h46" class="tube" />
      <path d="M27 28l2-5 4-1 3 3v3Z" class="lump" />
      <path d="M58 22h16" class="arrow" />
    </g>
  </svg>
</template>

<style scoped>
.picture { display: block; width: 100%; aspect-ratio: 80 / 44; }
.steel { fill: var(--steel-light); }
.steel-dark { fill: var(--steel); }
.wood { fill: #b27850; }
.grain { fill: none; stroke: #6f4426; stroke-width: 0.8; opacity: 0.55; }
.shine { fill: none; stroke: #fff; stroke-width: 1.4; opacity: 0.45; stroke-linecap: round; }
.gone { fill: var(--surface); stroke: #5b341a; stroke-width: 1; }
.line { fill: none; stroke: #2a1608; stroke-width: 1.3; stroke-linejoin: round; }
.dark { fill: #2a1608; }
.rim { fill: none; stroke: #f2d9bd; stroke-width: 0.8; }
.scratch { fill: none; stroke: #5b341a; stroke-width: 0.9; }
.burnt { fill: #5a3117; opacity: 0.72; }
.film { fill: var(--film); opacity: 0.85; }
.white { fill: #fff; }
.bubble { fill: #fff; fill-opacity: 0.35; stroke: #fff; stroke-width: 0.8; }
.bare { fill: #d8b48e; }
.red { fill: #7c2b24; }
.stain { fill: #7c2b24; opacity: 0.7; }
.pale { fill: #f3ead9; opacity: 0.85; }
.milk { fill: #f3f1ea; opacity: 0.5; }
.print { fill: none; stroke: #6f4426; stroke-width: 0.9; }
.crater { fill: #c99a72; stroke: #fff; stroke-width: 1; }
.veil { fill: #fff; opacity: 0.5; }
.arrow { fill: none; stroke: var(--ink); stroke-width: 1.4; }
.straight { fill: none; stroke: var(--ink); stroke-width: 1; stroke-dasharray: 3 2; }
.point { stroke: var(--ink); stroke-width: 2; }
.bore { fill: var(--ground); }
.tube { stroke: var(--brass); stroke-width: 1.6; }
.lump { fill: var(--film); stroke: #5b341a; stroke-width: 0.8; }
</style>
