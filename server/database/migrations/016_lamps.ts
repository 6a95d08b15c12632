/** Lamps that do not turn have a sign of their own on the drawings. */
import { forward } from './forward'

export const { up, down } = forward([
  `alter table fixture_type drop constraint fixture_type_form_check`,
  `alter table fixture_type add constraint fixture_type_form_check check (form in ('profile','wash','beam','lamp'))`,
])
