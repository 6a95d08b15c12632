/** `npm run schema`: writes the JSON Schema of a show that docs/formats.md speaks of. */
import { writeFileSync } from 'node:fs'
import { format } from 'prettier'
import { openShowSchema } from '#core/exchange/openShow'

writeFileSync(
  'docs/show.schema.json',
  await format(JSON.stringify(openShowSchema()), { parser: 'json', printWidth: 120 }),
)
