import { Checkbox, Group } from '@mantine/core';
import type { ElementOf } from '../../api/client';
import { Amount } from '../../fields/Amount';
import { Pick } from '../../common/Pick';
import { Said } from '../../fields/Said';
import { eases, fields } from '../../words';
import { useEditing } from '../../job/JobContext';
import type { ElementPointer } from '../../job/pointer';
import { CastingFields } from './CastKinds';
import type { KindProps } from './kindProps';
import classes from './ShapeStep.module.css';

type Profiled = ElementOf<'curb'> | ElementOf<'profile'>;

/** Base, top, height and lean: two of three give the section. */
export function SectionFields({ element, path }: { element: Profiled; path: ElementPointer }) {
  const { set } = useEditing();
  return (
    <>
      <Group gap="xs" align="flex-start">
        <Said at={`${path}/height`} value={element.height} label={fields.height} small />
        <Said at={`${path}/base`} value={element.base} label={fields.base} small ifEmpty={fields.blankEdge} />
        <Said at={`${path}/top`} value={element.top} label={fields.top} small ifEmpty={fields.blankEdge} />
      </Group>
      <p className={classes.hint}>{fields.twoOfThree}</p>
      <Group gap="xs" align="flex-start">
        <Amount
          at={`${path}/batter`}
          value={element.batter}
          label={fields.batter}
          optional
          placeholder={fields.blankEdge}
        />
        <Amount at={`${path}/faces`} value={element.faces} label={fields.faces} />
        <Pick
          label={fields.ease}
          value={element.ease}
          of={eases}
          onPick={(v) => {
            set(`${path}/ease`, v);
          }}
        />
        {element.ease !== 'sharp' && (
          <Said at={`${path}/easeSize`} value={element.easeSize ?? ''} label={fields.easeSize} small />
        )}
      </Group>
    </>
  );
}

/** A coping or a block by its section, cast either way up. */
export function ProfileFields({ element, path }: KindProps<'profile'>) {
  const { set } = useEditing();
  return (
    <>
      <Said at={`${path}/length`} value={element.length} label={fields.pieceLength} small />
      <SectionFields element={element} path={path} />
      <Group gap="lg" align="flex-start">
        <Checkbox
          size="sm"
          label={fields.topDown}
          checked={element.topDown ?? false}
          onChange={(e) => {
            set(`${path}/topDown`, e.currentTarget.checked);
          }}
        />
        <Checkbox
          size="sm"
          label={fields.spans}
          checked={element.spans ?? false}
          onChange={(e) => {
            set(`${path}/spans`, e.currentTarget.checked);
          }}
        />
      </Group>
      <CastingFields at={`${path}/casting`} casting={element.casting} />
    </>
  );
}
