/** The cluster that `npm test` started for the tests. */
import { z } from 'zod'

export const { RHOPANDER_TEST_DATABASE: TEST_CLUSTER } = z
  .object({ RHOPANDER_TEST_DATABASE: z.url() })
  .parse(process.env)
