<script setup lang="ts">
/** What is seen of a list: what its cues carry, or how they move. */
import { useCuesRoom } from '../../stores/cuesRoom'

const room = useCuesRoom()
const VIEWS = [
  { key: 'sheet', name: 'Carry sheet' },
  { key: 'travel', name: 'Travel' },
] as const
</script>

<template>
  <SwitchField label="View of the list" :options="VIEWS" :value="room.view" @choose="(view) => (room.view = view)" />
</template>
