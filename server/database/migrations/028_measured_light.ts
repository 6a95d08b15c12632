/** A row of a zoom may say what its light was measured to be: planes, angles, and a part of the brightest for each. */
import { forward } from './forward'

const parts = (value: string) =>
  `(jsonb_typeof(${value}) = 'array' and not exists (select from jsonb_array_elements(${value}) p
    where jsonb_typeof(p) <> 'number' or (p #>> '{}')::numeric not between 0 and 1))`

export const { up, down } = forward([
  `create function fits_plane(v jsonb, angles integer) returns boolean language sql immutable parallel safe as $$
    select coalesce(case jsonb_typeof(v) when 'array' then jsonb_array_length(v) = angles and ${parts('v')} else false end, false) $$`,
  `create function fits_distribution(v jsonb) returns boolean language sql immutable parallel safe as $$
    select coalesce(case when jsonb_typeof(v->'planes') = 'array' and jsonb_typeof(v->'off') = 'array' and jsonb_typeof(v->'parts') = 'array'
      then jsonb_array_length(v->'planes') between 1 and 16 and jsonb_array_length(v->'off') between 2 and 64
        and jsonb_array_length(v->'parts') = jsonb_array_length(v->'planes')
        and not exists (select from jsonb_array_elements(v->'parts') p where not fits_plane(p, jsonb_array_length(v->'off')))
      else false end, false) $$`,
  `create or replace function fits_lens(v jsonb) returns boolean language sql immutable parallel safe as $$ select coalesce(
    (jsonb_typeof(v->'beam') = 'number' and (v->>'beam')::numeric between 0 and 160)
    and (jsonb_typeof(v->'field') = 'number' and (v->>'field')::numeric between 0 and 170)
    and (jsonb_typeof(v->'candela') = 'number' and (v->>'candela')::numeric between 0 and 1e9)
    and (not jsonb_exists(v, 'measured') or fits_distribution(v->'measured')), false) $$`,
])
