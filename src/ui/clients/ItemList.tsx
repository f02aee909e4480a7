'use client';

import type { OwnFields } from '../../core/contract/records/customFacts';
import { shownItem } from '../../core/contract/records/shownClient';
import { capital } from '../../core/describe/capital';
import { withArticle } from '../../core/fill/formats/article';
import { CustomFields } from '../forms/CustomFields';
import { Field } from '../forms/Field';
import { PieceList } from '../forms/PieceList';

interface Props {
  /** what the business calls one: "instrument" */
  label: string;
  own: OwnFields;
}

/** The things of a client that the service is done to. */
export function ItemList({ label, own }: Props) {
  return (
    <section className="form-part" aria-labelledby="client-items">
      <h2 id="client-items">{capital(label)}s</h2>
      <PieceList name="items" one={label} add={`Add ${withArticle(label)}`} empty={() => shownItem({}, own)}>
        {(at) => (
          <>
            <div className="address-fields">
              <Field name={`${at}.name`} label="Called" />
              <Field name={`${at}.kind`} label="What sort" />
            </div>
            <CustomFields record="item" name={`${at}.custom`} own={own} />
            <Field name={`${at}.notes`} label="Notes" as="textarea" rows={2} />
          </>
        )}
      </PieceList>
    </section>
  );
}
