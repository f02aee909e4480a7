'use client';

import { useEffect, useState } from 'react';
import type { WordsFacts } from '../../core/contract/templateWords';
import type { VersionCompared } from '../../core/contract/versions';
import { changedHead, compareVersions } from '../../core/describe/compareVersions';
import { labelsOf } from '../../core/fill/describe/labels';
import { readPassages } from '../../core/fill/paths/scope';
import { schemaOf } from '../../core/records/schema';
import type { Template } from '../../core/template/template';
import { readWords } from './readWords';
import { VersionWords } from './VersionWords';

interface Props {
  words: string;
  version: number;
  /** the version that was loaded in their place, as it was read */
  standing: Template | undefined;
  facts: WordsFacts;
  onThrowAway: () => void;
}

/** What was written before another version was loaded, beside that one: what the other has and it had not, and the reverse. */
export function PutAside({ words, version, standing, facts, onThrowAway }: Props) {
  const [compared, setCompared] = useState<VersionCompared>();
  useEffect(() => {
    if (!standing) return;
    let latest = true;
    void readWords(words, facts).then(({ template }) => {
      if (latest && template) setCompared(compare(standing, template, facts));
    });
    return () => {
      latest = false;
    };
  }, [words, standing, facts]);
  return (
    <details className="put-aside" open>
      <summary>What you wrote before version {version} was loaded</summary>
      {compared && (
        <section aria-label={`Beside version ${version}`} className="version-compared">
          <VersionWords
            compared={compared}
            went={`in version ${version} alone`}
            came="what you wrote instead"
          />
        </section>
      )}
      <textarea
        className="words-area form-control"
        readOnly
        rows={12}
        value={words}
        aria-label="What you wrote"
      />
      <button type="button" className="btn btn-link" onClick={onThrowAway}>
        Throw it away
      </button>
    </details>
  );
}

function compare(standing: Template, written: Template, { business, passages }: WordsFacts): VersionCompared {
  const context = { schema: schemaOf({ business }), passages: readPassages(passages) };
  const labels = { ...labelsOf(standing, context), ...labelsOf(written, context) };
  return {
    head: changedHead(standing.head, written.head),
    words: compareVersions(standing, written, { labels, passages }),
  };
}
