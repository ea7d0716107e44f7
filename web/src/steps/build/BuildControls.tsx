import { Checkbox, Group, TextInput } from '@mantine/core';
import { NumberField } from '../../common/NumberField';
import { api, type ElementBuildReport, type Enum } from '../../api/client';
import { boardName } from '../../common/boardName';
import { Pick } from '../../common/Pick';
import { Said } from '../../fields/Said';
import { build as words, cornerSchemes, frosts, meshHelds, mouldSides, schools, soils } from '../../words';
import { useDocument, useEditing, usePlanned } from '../../job/JobContext';
import type { ElementPointer } from '../../job/pointer';
import classes from './BuildStep.module.css';

const PLY_MM = [6, 9, 12, 15, 18];

function GroundFields({ path, element }: { path: ElementPointer; element: ElementBuildReport | undefined }) {
  const document = useDocument();
  const { sections } = usePlanned();
  const { format, set } = useEditing();
  const { build } = document;
  const dig = sections.build?.dig;
  return (
    <fieldset className={classes.group}>
      <legend className={classes.legend}>{words.groundGroup}</legend>
      <Group gap="xs" align="flex-start">
        <Pick
          label={words.soil}
          value={build.soil}
          of={soils}
          onPick={(v) => {
            set('/build/soil', v);
          }}
        />
        <Pick
          label={words.frost}
          value={build.frost}
          of={frosts}
          onPick={(v) => {
            set('/build/frost', v);
          }}
        />
      </Group>
      <Group gap="xs" align="flex-start">
        <Said
          at="/build/base"
          value={build.base}
          label={words.baseDepth}
          small
          ifEmpty={dig ? `${format.small(dig.baseMm)}*` : words.baseAdvised}
        />
        {element?.dig && (
          <Said
            at={`${path}/above`}
            value={document.elements[element.index]?.above ?? ''}
            label={words.above}
            small
            ifEmpty={`${format.small(element.dig.aboveMm)}*`}
          />
        )}
        <Said at="/build/stringAbove" value={build.stringAbove} label={words.string} small />
      </Group>
      <Checkbox
        size="sm"
        mt={6}
        label={words.plastic}
        checked={build.plastic}
        onChange={(e) => {
          set('/build/plastic', e.currentTarget.checked);
        }}
      />
    </fieldset>
  );
}

function FormFields({ path, element }: { path: ElementPointer; element: ElementBuildReport }) {
  const document = useDocument();
  const { set } = useEditing();
  const boards = api.useQuery('get', '/api/lumber', {}, { staleTime: Infinity });
  const said = document.elements[element.index]?.forms ?? null;
  const { forms, mould } = element;
  const sold = (boards.data ?? []).filter((b) => b.system === document.build.sold);
  return (
    <fieldset className={classes.group}>
      <legend className={classes.legend}>{words.formGroup}</legend>
      {forms && (
        <Group gap="xs" align="flex-start">
          <Pick
            label={words.board}
            value={said?.board ?? ''}
            of={{
              '': words.boardAdvised(boardName(forms.board)),
              ...Object.fromEntries(sold.map((b) => [b.id, boardName(b.id)])),
            }}
            onPick={(v) => {
              set(`${path}/forms/board`, v === '' ? null : v);
            }}
          />
          <Pick
            label={words.corners}
            value={said?.corners ?? 'buttedPair'}
            of={cornerSchemes}
            onPick={(v) => {
              set(`${path}/forms/corners`, v);
            }}
          />
        </Group>
      )}
      {(forms?.bends ?? mould?.bends ?? []).length > 0 && (
        <Pick
          label={words.ply}
          value={said?.plyMm == null ? '' : String(said.plyMm)}
          of={{
            '': words.plyAdvised,
            ...Object.fromEntries(PLY_MM.map((mm) => [String(mm), words.plySize(`${String(mm)} mm`)])),
          }}
          onPick={(v) => {
            set(`${path}/forms/plyMm`, v === '' ? null : Number(v));
          }}
        />
      )}
      {mould && (
        <Group gap="xs" align="flex-start">
          <NumberField
            size="sm"
            label={words.sheet}
            value={said?.sheetMm ?? mould.sheetMm}
            onSay={(v) => {
              if (v !== null) set(`${path}/forms/sheetMm`, v);
            }}
          />
          <Pick
            label={words.sides}
            value={said?.sides ?? mould.sides}
            of={mouldSides}
            onPick={(v) => {
              set(`${path}/forms/sides`, v);
            }}
          />
        </Group>
      )}
      {forms && (
        <TextInput
          size="sm"
          mt={4}
          label={words.stock}
          description={words.stockHint}
          defaultValue={document.build.stock.join(', ')}
          onBlur={(e) => {
            const stock = e.currentTarget.value
              .split(',')
              .map((s) => s.trim())
              .filter((s) => s !== '');
            if (stock.join() !== document.build.stock.join()) set('/build/stock', stock);
          }}
        />
      )}
    </fieldset>
  );
}

function SteelFields({ path, element }: { path: ElementPointer; element: ElementBuildReport }) {
  const document = useDocument();
  const { set, format } = useEditing();
  const bars = api.useQuery('get', '/api/bars', {}, { staleTime: Infinity });
  const said = document.elements[element.index]?.steel ?? null;
  const { steel } = element;
  const barred = steel.school === 'barGrid' || steel.school === 'twoRows';
  const choices: Record<'' | Enum<'SteelSchool'>, string> = {
    '': words.schoolAdvised(schools[steel.advised]),
    ...schools,
  };
  return (
    <fieldset className={classes.group}>
      <legend className={classes.legend}>{words.steelGroup}</legend>
      <Group gap="xs" align="flex-start">
        <Pick
          label={words.school}
          value={said?.school ?? ''}
          of={choices}
          onPick={(v) => {
            set(`${path}/steel/school`, v === '' ? null : v);
          }}
        />
        {barred && (
          <Pick
            label={words.bar}
            value={said?.bar ?? ''}
            of={{
              '': `${words.barUsual}: ${steel.bar}`,
              ...Object.fromEntries((bars.data ?? []).map((b) => [b.id, boardName(b.id)])),
            }}
            onPick={(v) => {
              set(`${path}/steel/bar`, v === '' ? null : v);
            }}
          />
        )}
        {steel.school === 'mesh' && (
          <Pick
            label={words.meshHeld}
            value={said?.mesh ?? 'onChairs'}
            of={meshHelds}
            onPick={(v) => {
              set(`${path}/steel/mesh`, v);
            }}
          />
        )}
        {steel.school === 'barGrid' && (
          <Said
            at={`${path}/steel/spacing`}
            value={said?.spacing ?? ''}
            label={words.spacing}
            small
            ifEmpty={words.barUsual}
          />
        )}
      </Group>
      {steel.school === 'none' && steel.misfit === 'none' && (
        <p className={classes.hint}>{words.noSteelReason(format.length(steel.longestM))}</p>
      )}
    </fieldset>
  );
}

/** What the ground is, what the forms are made of, what is put in. */
export function BuildControls({
  path,
  element,
}: {
  path: ElementPointer;
  element: ElementBuildReport | undefined;
}) {
  return (
    <>
      {(!element || element.dig) && <GroundFields path={path} element={element} />}
      {element && (element.forms !== null || element.mould !== null) && (
        <FormFields path={path} element={element} />
      )}
      {element && <SteelFields path={path} element={element} />}
    </>
  );
}
