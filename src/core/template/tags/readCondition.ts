import { readDay } from '../../dates/civil';
import { didYouMean } from '../../problems/nearest';
import { OPERATORS, type Clause, type Condition, type Operand, type Operator } from '../../document/step';
import { TagError, isPath, type Token } from './lexer';
import { readStep } from './readSteps';

/**
 * Reads `clause {"and" clause} | clause {"or" clause}` to the last token. Throws TagError.
 * @param end where the source ends, for messages about what is missing
 * @param allow whether steps may stand on the left (not inside `where`)
 */
export function readCondition(tokens: Token[], end: number, allow: { steps: boolean }): Condition {
  const reader = new ConditionReader(tokens, end, allow.steps);
  return reader.read();
}

/** The condition of a `where`: it takes no steps on the left. */
export function readWhere(tokens: Token[], end: number): Condition {
  return readCondition(tokens, end, { steps: false });
}

class ConditionReader {
  private at = 0;

  constructor(
    private readonly tokens: Token[],
    private readonly end: number,
    private readonly steps: boolean,
  ) {}

  read(): Condition {
    const clauses = [this.clause()];
    let join: Condition['join'] | undefined;
    for (let word = this.joiner(); word; word = this.joiner()) {
      if (join && join !== word) {
        throw new TagError('“and” and “or” cannot stand in one condition.', this.tokens[this.at]!.at);
      }
      join = word;
      this.at++;
      clauses.push(this.clause());
    }
    const rest = this.tokens[this.at];
    if (rest) throw new TagError(`“${rest.text}” is not expected here.`, rest.at);
    return { join: join ?? 'and', clauses };
  }

  private clause(): Clause {
    const path = this.tokens[this.at];
    if (!path) throw new TagError('A condition is missing here.', this.end);
    if (path.kind !== 'word' || !isPath(path.text)) {
      throw new TagError('A condition begins with a field, as “invoice.balance over 100”.', path.at);
    }
    this.at++;
    const clause: Clause = { path: path.text, steps: this.readSteps() };
    const operator = this.operator();
    if (!operator) return clause;
    clause.operator = operator;
    if (operator !== 'is set' && operator !== 'is not set') clause.right = this.operand(operator);
    return clause;
  }

  private readSteps(): Clause['steps'] {
    const steps: Clause['steps'] = [];
    while (this.tokens[this.at]?.kind === 'pipe') {
      const pipe = this.tokens[this.at++]!;
      if (!this.steps) throw new TagError('A condition after “where” takes no steps.', pipe.at);
      const own: Token[] = this.whereStep();
      for (let token = this.tokens[this.at]; token; token = this.tokens[this.at]) {
        const previous = own.at(-1)?.text;
        const next = this.tokens[this.at + 1]?.text;
        const ofStep =
          (token.text === 'or' && (own.length === 0 || previous === 'joined')) ||
          (token.text === 'and' &&
            (`${previous} and ${next}` === 'day and month' || `${previous} and ${next}` === 'date and time'));
        if (token.kind === 'pipe' || (!ofStep && (this.joiner() || this.operatorAt()))) break;
        own.push(token);
        this.at++;
      }
      steps.push(readStep(own, pipe.at, readWhere));
    }
    return steps;
  }

  /** A `where` has operators of its own: it goes on to the next `|`, if there is one. */
  private whereStep(): Token[] {
    const pipe = this.tokens.findIndex((token, i) => i > this.at && token.kind === 'pipe');
    if (this.tokens[this.at]?.text !== 'where' || pipe < 0) return [];
    const own = this.tokens.slice(this.at, pipe);
    this.at = pipe;
    return own;
  }

  private joiner(): 'and' | 'or' | undefined {
    const token = this.tokens[this.at];
    return token?.kind === 'word' && (token.text === 'and' || token.text === 'or') ? token.text : undefined;
  }

  private operatorAt(): Operator | undefined {
    return OPERATORS.find((name) =>
      name.split(' ').every((word, i) => {
        const token = this.tokens[this.at + i];
        return token?.kind === 'word' && token.text === word;
      }),
    );
  }

  private operator(): Operator | undefined {
    const token = this.tokens[this.at];
    if (!token || this.joiner()) return undefined;
    const found = this.operatorAt();
    if (!found) {
      throw new TagError(
        `“${token.text}” is no comparison; there are ${OPERATORS.join(', ')}.${didYouMean(token.text, OPERATORS)}`,
        token.at,
      );
    }
    this.at += found.split(' ').length;
    return found;
  }

  private operand(operator: Operator): Operand {
    const token = this.tokens[this.at++];
    if (!token) throw new TagError(`Something to compare with is missing after “${operator}”.`, this.end);
    if (token.kind === 'quoted') return { kind: 'text', text: token.text };
    if (token.kind === 'question') {
      const name = this.tokens[this.at++];
      if (name?.kind !== 'quoted') {
        throw new TagError('A blank in a condition has its name in quotation marks, as ? "Rate".', token.at);
      }
      return { kind: 'blank', name: name.text };
    }
    if (token.kind === 'word') {
      const operand = readWord(token.text);
      if (operand) return operand;
    }
    throw new TagError(
      `“${token.text}” is neither a number, a date, a sum, quoted text nor a field.`,
      token.at,
    );
  }
}

function readWord(word: string): Operand | undefined {
  if (word === 'yes' || word === 'no') return { kind: 'yes/no', yes: word === 'yes' };
  if (/^-?\d+(?:\.\d+)?%?$/.test(word)) return { kind: 'number', text: word };
  if (/^\d{4}-\d\d-\d\d$/.test(word))
    return readDay(word) === undefined ? undefined : { kind: 'date', iso: word };
  if (/^-?(?:\p{Sc}|[A-Z]{3})\d[\d,]*(?:\.\d+)?$/u.test(word)) return { kind: 'money', text: word };
  return isPath(word) && word !== '.' ? { kind: 'path', path: word } : undefined;
}
