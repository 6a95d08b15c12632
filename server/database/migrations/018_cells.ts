/** Fixtures with several light sources, each of which is a fixture by itself that goes with its bar. */
import { forward } from './forward'
import { journalledField } from './journalledField'

const LACKS_WHAT_BARS_HAVE = 'type is null and mode is null and universe is null and address is null'

export const { up, down } = forward([
  `create function fits_cells(v jsonb) returns boolean language sql immutable parallel safe as $$ select coalesce(
     jsonb_typeof(v->'count') = 'number' and (v->>'count')::numeric between 2 and 512
       and jsonb_typeof(v->'pitch') = 'number' and (v->>'pitch')::numeric > 0
       and case jsonb_typeof(v->'has') when 'array' then jsonb_array_length(v->'has') > 0
         and not exists (select from jsonb_array_elements_text(v->'has') a where not is_attribute(a) or a = 'position') else false end,
     false) $$`,
  'alter table fixture_type add column cells jsonb constraint fixture_type_cells_fits check (cells is null or fits_cells(cells))',
  `alter table fixture add column bar text, add column cell integer,
     add constraint fixture_bar_fkey foreign key (show_id, bar) references fixture (show_id, id) deferrable initially deferred,
     add constraint fixture_cell check (case when bar is null then cell is null
       else cell between 1 and 512 and id = bar || '.' || cell and ${LACKS_WHAT_BARS_HAVE} end),
     drop constraint fixture_show_id_number_key,
     add constraint fixture_number unique nulls not distinct (show_id, cell, number) deferrable initially deferred`,
  'create index on fixture (show_id, bar) where bar is not null',
  ...journalledField('fixtureType', 'has', 'cells', () => `'null'::jsonb`),
  ...journalledField('fixture', 'name', 'bar', () => `'null'::jsonb`),
  ...journalledField('fixture', 'name', 'cell', () => `'null'::jsonb`),
])
