import type { Field } from '../document/templateDocument';
import type { Step } from '../document/step';
import { newScope, type CompileContext } from '../fill/compile/newScope';
import { sectionScope } from '../fill/describe/labels';
import { resolvePath } from '../fill/paths/resolvePath';
import type { Scope } from '../fill/paths/scope';
import { compileSteps } from '../fill/steps/compileSteps';
import { choicesOf } from '../records/catalogue/choices';
import type { FieldType } from '../records/fieldType';
import type { Situation } from '../records/which/situation';
import type { TemplateHead } from '../template/template';
import { fieldsAt, type FieldGroup, type OfferedField } from './fieldsAt';
import { formsOf } from './formsOf';
import { sayField, type Around } from './sayField';

/** A field of a template, told to whoever changes it. */
export interface ToldField {
  /** whose fact it is: "Visit, member" */
  title: string;
  label: string;
  description: string;
  type: FieldType;
  /** the forms it can have, its own among them, each with what it says for the record in view, where it says anything */
  forms: { steps: Step[]; says: string | undefined }[];
}

/** What is said of the fields of one template: which there are, what each says for a record in view. */
export class FieldDesk {
  private readonly groups = new Map<string, FieldGroup[]>();
  private readonly said = new Map<string, string | undefined>();

  /**
   * @param titles what the business calls its records, where that is not their own word
   * @param inView the record that fields are shown for; absent: nothing is said yet
   */
  constructor(
    private readonly head: TemplateHead,
    private readonly context: CompileContext,
    private readonly titles: Readonly<Partial<Record<string, string>>>,
    private readonly inView?: Situation,
  ) {}

  /** The fields that can stand at a place, by the sections around it. */
  fieldsAt(around: readonly Around[]): FieldGroup[] {
    const key = JSON.stringify(around);
    let groups = this.groups.get(key);
    if (!groups) this.groups.set(key, (groups = fieldsAt(this.scope(around), this.titles)));
    return groups;
  }

  /** What a field says at a place for the record in view; undefined: nothing. */
  says(field: Field['attrs'], around: readonly Around[]): string | undefined {
    if (!this.inView) return undefined;
    const key = JSON.stringify([field, around]);
    if (!this.said.has(key)) {
      const standing = around.filter((_, i) => this.stands(around, i));
      this.said.set(key, sayField(field, standing, this.head, this.context, this.inView));
    }
    return this.said.get(key);
  }

  /** Whose fact a field is and which forms it can have; undefined where there is no such fact. */
  tell({ path, steps }: Field['attrs'], around: readonly Around[]): ToldField | undefined {
    const scope = this.scope(around);
    const resolved = resolvePath(path, scope);
    if (typeof resolved === 'string') return undefined;
    const found = this.find(path, around);
    const own = steps.filter(({ step }) => step !== 'or');
    const forms = formsOf(resolved.type);
    const isAmong = forms.some((form) => JSON.stringify(form) === JSON.stringify(own));
    return {
      title: found?.group.title ?? '',
      label: found?.field.label ?? resolved.label,
      description: found?.field.description ?? '',
      type: resolved.type,
      forms: (isAmong ? forms : [own, ...forms]).map((form) => ({
        steps: form,
        says: this.says({ path, steps: form }, around),
      })),
    };
  }

  /** The type of a fact after its steps; undefined where there is none. */
  typeOf({ path, steps }: Field['attrs'], around: readonly Around[]): FieldType | undefined {
    const scope = this.scope(around);
    const resolved = resolvePath(path, scope);
    if (typeof resolved === 'string') return undefined;
    const compiled = compileSteps(steps, resolved.type, scope);
    return typeof compiled === 'string' ? undefined : compiled.type;
  }

  /** What a fact is called at a place: "invoice, due date". */
  nameOf(path: string, around: readonly Around[]): string {
    const found = this.find(path, around);
    return found ? `${found.group.title.toLowerCase()}, ${found.field.label}` : path;
  }

  /** The few words that a fact is one of; undefined where it can say anything. */
  choicesOf(path: string, around: readonly Around[]): readonly string[] | undefined {
    const names = path.split('.');
    const owner =
      names.length > 1 ? resolvePath(names.slice(0, -1).join('.'), this.scope(around)) : undefined;
    const record =
      typeof owner === 'object' && owner.type.kind === 'record'
        ? owner.type.record
        : this.scope(around).frames.at(-1)?.type;
    const kind = typeof record === 'string' ? record : record?.kind === 'record' ? record.record : undefined;
    return kind && choicesOf(`${kind}.${names.at(-1)}`);
  }

  /** The facts of the records of a list, to be chosen among. */
  fieldsOfList(list: Around, around: readonly Around[]): OfferedField[] {
    const type = this.typeOf(list, around);
    return type?.kind === 'collection' ? (this.fieldsAt([...around, list])[0]?.fields ?? []) : [];
  }

  /** A field among those that are offered. */
  private find(
    path: string,
    around: readonly Around[],
  ): { group: FieldGroup; field: OfferedField } | undefined {
    for (const group of this.fieldsAt(around)) {
      const field = group.fields.find((one) => one.path === path);
      if (field) return { group, field };
    }
    return undefined;
  }

  private scope(around: readonly Around[]): Scope {
    return around.reduce((scope, attrs) => sectionScope(attrs, scope), newScope(this.context, this.head, []));
  }

  /** Whether a section is one that its fields stand in, not one that asks whether something is so. */
  private stands(around: readonly Around[], i: number): boolean {
    return this.scope(around.slice(0, i + 1)).frames.length > this.scope(around.slice(0, i)).frames.length;
  }
}
