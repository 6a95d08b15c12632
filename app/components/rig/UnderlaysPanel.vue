<script setup lang="ts">
/** What lies under the plan of this venue: where it lies, how strongly it is seen, which of its layers. */
import { computed } from 'vue'
import type { CommandInput } from '#core/commands/registry'
import type { Underlay } from '#core/show/entities'
import type { UnderlayId } from '#core/show/ids'
import { underlaysOf } from '#core/show/underlays'
import type { Show } from '#core/show/show'
import { useCommit } from '../../composables/forms/useCommit'
import { useUnderlayLines } from '../../composables/stage/useUnderlayLines'
import { useDialogs } from '../../stores/dialogs'
import { useShow } from '../../stores/show'
import EyeToggle from './EyeToggle.vue'

const props = defineProps<{ show: Show }>()
const store = useShow()
const dialogs = useDialogs()
const { keep } = useCommit()
const lines = useUnderlayLines(() => props.show)
const underlays = computed(() =>
  underlaysOf(props.show).map(([id, underlay]) => ({
    id,
    underlay,
    layers: (lines.get(underlay.digest) ?? []).map(({ name }) => name),
  })),
)

type Fields = Omit<CommandInput<'changeUnderlay'>, 'underlay'>
const change = (underlay: UnderlayId, fields: Fields) => keep('changeUnderlay', { underlay, ...fields })
const toggle = (id: UnderlayId, { hidden }: Underlay, layer: string) =>
  change(id, { hidden: hidden.includes(layer) ? hidden.filter((name) => name !== layer) : [...hidden, layer] })
</script>

<template>
  <p v-if="underlays.length === 0" class="text-sm text-mist">
    A drawing (DXF, OBJ, GLB) as lines, or a picture or page (PNG, JPEG, PDF), to scale under the plan: to see where
    walls, seats and marks are, and to trace set pieces on.
  </p>
  <fieldset
    v-for="{ id, underlay, layers } in underlays"
    :key="id"
    class="flex flex-col gap-2 rounded-lg border border-rule bg-plank p-3"
    :aria-label="`Underlay ${underlay.name}`"
  >
    <div class="flex items-end gap-1.5">
      <TextField
        class="min-w-0 flex-1"
        :label="underlay.form === 'picture' ? 'Picture' : 'Lines'"
        :shown="underlay.name"
        :keep="(name) => change(id, { name })"
      />
      <EyeToggle
        :name="underlay.name"
        :visible="underlay.visible"
        @toggle="change(id, { visible: !underlay.visible })"
      />
      <BinButton :aria-label="`Take ${underlay.name} away`" @click="store.send('deleteUnderlay', { underlay: id })" />
    </div>
    <div class="grid grid-cols-3 gap-2">
      <NumberField label="Across" unit="m" :digits="3" :value="underlay.x" :keep="(x) => change(id, { x })" />
      <NumberField label="Upstage" unit="m" :digits="3" :value="underlay.y" :keep="(y) => change(id, { y })" />
      <NumberField label="Turned" unit="°" :digits="2" :value="underlay.turn" :keep="(turn) => change(id, { turn })" />
      <NumberField
        label="Scale"
        unit="times"
        :digits="5"
        :value="underlay.scale"
        :keep="(scale) => change(id, { scale })"
      />
      <NumberField
        label="Strength"
        unit="%"
        :value="Math.round(underlay.strength * 100)"
        :keep="(percent) => change(id, { strength: percent / 100 })"
      />
      <button
        type="button"
        class="chip self-end py-1"
        :class="underlay.mirrored ? 'chip-on' : ''"
        :aria-pressed="underlay.mirrored"
        @click="change(id, { mirrored: !underlay.mirrored })"
      >
        Mirrored
      </button>
    </div>
    <div v-if="layers.length > 1" class="flex flex-wrap gap-1" role="group" :aria-label="`Layers of ${underlay.name}`">
      <button
        v-for="layer in layers"
        :key="layer"
        type="button"
        class="chip px-2 py-0.5 text-xs"
        :class="underlay.hidden.includes(layer) ? 'text-haze line-through' : ''"
        :aria-pressed="!underlay.hidden.includes(layer)"
        @click="toggle(id, underlay, layer)"
      >
        {{ layer || 'in no layer' }}
      </button>
    </div>
  </fieldset>
  <button type="button" class="chip self-start" @click="dialogs.open = 'rig file'">Open a drawing or picture</button>
  <p v-if="underlays.length" class="text-xs text-haze">
    Across and upstage are those of its lower left corner. To place one by two of its places again, open its file again:
    it comes in place of the one here by its name.
  </p>
</template>
