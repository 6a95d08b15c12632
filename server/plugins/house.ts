import { closeHouse } from '../shows/useHouse'

export default defineNitroPlugin((nitro) => {
  nitro.hooks.hook('close', closeHouse)
})
