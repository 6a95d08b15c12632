<script setup lang="ts">
/** The two venues that are compared. */
import { asVenueId } from '#core/show/ids'
import { useDifference } from '../../stores/difference'
import { useRefocusRoom } from '../../stores/refocusRoom'

const difference = useDifference()
const room = useRefocusRoom()
function choose(side: 'askedHere' | 'askedThere', { target }: Event) {
  if (target instanceof HTMLSelectElement) difference[side] = asVenueId(target.value)
}
</script>

<template>
  <div class="flex items-center gap-2">
    <label class="flex items-center gap-1 text-sm text-mist">
      From
      <select class="chip" :value="difference.here" @change="choose('askedHere', $event)">
        <option v-for="{ id, venue } in room.venues" :key="id" :value="id">{{ venue.name }}</option>
      </select>
    </label>
    <label class="flex items-center gap-1 text-sm text-mist">
      to
      <select class="chip" :value="difference.there" @change="choose('askedThere', $event)">
        <option v-for="{ id, venue } in room.venues" :key="id" :value="id" :disabled="id === difference.here">
          {{ venue.name }}
        </option>
      </select>
    </label>
  </div>
</template>
