import { Checkbox, Group } from '@mantine/core';
import type { ElementOf } from '../../api/client';
import { Amount } from '../../fields/Amount';
import { Pick } from '../../common/Pick';
import { Said } from '../../fields/Said';
import { counterCastings, counterDecks, fields, footingForms, pieceUses } from '../../words';
import { useEditing } from '../../job/JobContext';
import type { ElementPointer } from '../../job/pointer';
import type { KindProps } from './kindProps';
import { Inserts } from './Inserts';
import { OutlinedFields } from './OutlinedFields';
import { PieceEdges } from './PieceEdges';

/** How many pieces come from how many moulds. */
export function CastingFields({
  at,
  casting,
}: {
  at: `${ElementPointer}/casting`;
  casting: ElementOf<'piece'>['casting'];
}) {
  return (
    <Group gap="xs" align="flex-start">
      <Amount at={`${at}/pieces`} value={casting.pieces} label={fields.pieces} />
      <Amount at={`${at}/moulds`} value={casting.moulds} label={fields.moulds} />
      <Amount
        at={`${at}/stripDays`}
        value={casting.stripDays}
        label={fields.stripDays}
        optional
        placeholder={fields.usual}
      />
      <Amount at={`${at}/cleanDays`} value={casting.cleanDays ?? 0} label={fields.cleanDays} />
    </Group>
  );
}

export function PieceFields({ element, path }: KindProps<'piece'>) {
  const { set } = useEditing();
  return (
    <>
      <Group gap="xs" align="flex-start">
        <Pick
          label={fields.piece}
          value={element.use}
          of={pieceUses}
          onPick={(v) => {
            set(`${path}/use`, v);
          }}
        />
        <Said at={`${path}/thickness`} value={element.thickness} label={fields.thickness} small />
        <Checkbox
          size="sm"
          mt={30}
          label={fields.faceDown}
          checked={element.faceDown ?? false}
          onChange={(e) => {
            set(`${path}/faceDown`, e.currentTarget.checked);
          }}
        />
      </Group>
      <Checkbox
        size="sm"
        label={fields.spans}
        checked={element.spans ?? element.use === 'tread'}
        onChange={(e) => {
          set(`${path}/spans`, e.currentTarget.checked);
        }}
      />
      <CastingFields at={`${path}/casting`} casting={element.casting} />
      <OutlinedFields element={element} path={path} />
      <PieceEdges element={element} path={path} />
      <Inserts element={element} path={path} />
    </>
  );
}

export function CounterFields({ element, path }: KindProps<'counter'>) {
  const { set } = useEditing();
  return (
    <>
      <Group gap="xs" align="flex-start">
        <Pick
          label={fields.casting}
          value={element.casting}
          of={counterCastings}
          onPick={(v) => {
            set(`${path}/casting`, v);
          }}
        />
        {element.casting === 'inPlace' && (
          <Pick
            label={fields.deck}
            value={element.deck ?? 'stays'}
            of={counterDecks}
            onPick={(v) => {
              set(`${path}/deck`, v);
            }}
          />
        )}
        <Said at={`${path}/thickness`} value={element.thickness} label={fields.fieldThickness} small />
        <Said
          at={`${path}/overhang`}
          value={element.overhang ?? ''}
          label={fields.overhang}
          small
          ifEmpty={fields.noChamfer}
        />
      </Group>
      <Checkbox
        size="sm"
        label={fields.spans}
        checked={element.spans ?? false}
        onChange={(e) => {
          set(`${path}/spans`, e.currentTarget.checked);
        }}
      />
      <OutlinedFields element={element} path={path} drops />
    </>
  );
}

type Form = ElementOf<'footing'>['form'];

/** The same footing in another form: sizes that both have are kept. */
function inForm(kind: Form['kind'], was: Form): Form {
  const across = was.kind === 'cylinder' ? was.diameter : was.kind === 'box' ? was.along : was.foot;
  switch (kind) {
    case 'box':
      return { kind, depth: was.depth, along: across, across };
    case 'cylinder':
      return { kind, depth: was.depth, diameter: across };
    case 'frustum':
      return { kind, depth: was.depth, foot: across, top: across };
    case 'frustumWithTube':
      return { kind, depth: was.depth, foot: across, top: across, tube: across, tubeDepth: was.depth };
    default:
      return kind satisfies never;
  }
}

type FormSize = Exclude<
  { [Kind in Form['kind']]: keyof Extract<Form, { kind: Kind }> }[Form['kind']],
  'kind'
>;

const formFields: Record<Form['kind'], [FormSize, string][]> = {
  box: [
    ['along', fields.along_],
    ['across', fields.across],
    ['depth', fields.deep],
  ],
  cylinder: [
    ['diameter', fields.diameter],
    ['depth', fields.deep],
  ],
  frustum: [
    ['foot', fields.foot],
    ['top', fields.footTop],
    ['depth', fields.deep],
  ],
  frustumWithTube: [
    ['foot', fields.foot],
    ['top', fields.footTop],
    ['depth', fields.deep],
    ['tube', fields.tube],
    ['tubeDepth', fields.tubeDepth],
  ],
};

export function FootingFields({ element, path }: KindProps<'footing'>) {
  const { set } = useEditing();
  const sizes = element.form as Partial<Record<FormSize, string>>;
  return (
    <>
      <Group gap="xs" align="flex-start">
        <Pick
          label={fields.footingForm}
          value={element.form.kind}
          of={footingForms}
          onPick={(kind) => {
            set(`${path}/form`, inForm(kind, element.form));
          }}
        />
        <Amount at={`${path}/count`} value={element.count} label={fields.footingCount} />
        <Amount
          at={`${path}/moulds`}
          value={element.moulds}
          label={fields.footingForms}
          optional
          placeholder={fields.allAtOnce}
        />
        {element.form.kind !== 'frustumWithTube' && (
          <Checkbox
            size="sm"
            mt={30}
            label={fields.asPiece}
            checked={element.asPiece ?? false}
            onChange={(e) => {
              set(`${path}/asPiece`, e.currentTarget.checked);
            }}
          />
        )}
      </Group>
      <Group gap="xs" align="flex-start">
        {formFields[element.form.kind].map(([name, label]) => (
          <Said key={name} at={`${path}/form/${name}`} value={sizes[name] ?? ''} label={label} small />
        ))}
      </Group>
    </>
  );
}
