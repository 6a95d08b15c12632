/** Blades that are driven by their two corners instead of depth and angle. */
import { forward } from './forward'

const CORNERS = ['Top', 'Right', 'Bottom', 'Left']
  .flatMap((side) => [`'shutter${side}First'`, `'shutter${side}Second'`])
  .join(',')

export const { up, down } = forward([
  `do $do$ declare body text; begin
     select prosrc into body from pg_proc where proname = 'is_attribute';
     execute 'create or replace function is_attribute(a text) returns boolean language sql immutable parallel safe as $body$'
       || replace(body, $old$'frameTurn'$old$, $new$'frameTurn',${CORNERS}$new$) || '$body$';
   end $do$`,
])
