/** The network interfaces that what goes out may be sent from. */
import { defineApi } from '../../../http/api'
import { showOf } from '../../../http/showOf'
import { interfacesHere } from '../../../output/wire/interfaces'

export default defineApi(async (event) => {
  await showOf(event, 'programs')
  return { interfaces: interfacesHere() }
})
