import type { FieldDesk } from '../../../core/fields/fieldDesk';
import type { OfferedField } from '../../../core/fields/fieldsAt';
import type { Around } from '../../../core/fields/sayField';

/** Where something stands in the window. */
export interface PlaceInWindow {
  left: number;
  top: number;
  bottom: number;
}

/** A field is wanted: the list of them is shown, and what was chosen is given. */
export interface WantedField {
  at: PlaceInWindow;
  /** the sections around the place it is for */
  around: readonly Around[];
  fits?: (field: OfferedField) => boolean;
  then: (field: OfferedField) => void;
}

/** What notes and forms of a template in pencil work with. */
export interface PencilTools {
  fields: FieldDesk;
  /** whom the template is seen for */
  inView: string | undefined;
  want: (wanted: WantedField) => void;
}
