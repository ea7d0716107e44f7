import { NativeSelect, SegmentedControl, TextInput } from '@mantine/core';
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, http, type Enum, type JobDocument, type PlanReport } from '../../api/client';
import { duration, formatsFor, number, type Formats } from '../../format/format';
import { useChosenElement, useDiaryOf, useDocument, usePlanned } from '../../job/JobContext';
import { useParams } from 'wouter';
import { compare as words } from '../../words';
import table from '../../common/RuledTable.module.css';
import classes from './CompareStep.module.css';

const NONE = '–';

type Row = keyof typeof words.rows;

/** What a plan says of its pour and of the job, as it is read. */
function said(report: PlanReport, f: Formats): Record<Row, string> {
  const pour = report.pours.find((p) => p.id === report.pour);
  const { load, day, cure, buy } = report;
  const at = (milestone: Enum<'Milestone'>) => {
    const found = cure?.milestones.find((m) => m.milestone === milestone)?.at;
    return found ? f.dateHour(found) : NONE;
  };
  return {
    volume: pour ? f.bulk(pour.volumeL) : NONE,
    bags: pour?.bags == null ? NONE : number(pour.bags),
    batches: load ? number(load.batches.length) : NONE,
    mixing: load ? duration(load.mixingMin) : NONE,
    hands: day ? number(day.hands) : NONE,
    starts: day ? f.dateTime(day.start) : NONE,
    mixed: day ? f.dateTime(day.mixingEnds) : NONE,
    doneBy: day ? f.dateTime(day.doneBy) : NONE,
    strip: at('stripEdges'),
    walk: at('walk'),
    load: at('furniture'),
    wetUntil: cure ? f.dateHour(cure.wetUntil) : NONE,
    cost: buy ? f.money(buy.cost) : NONE,
    decisions: number(report.findings.filter((x) => x.severity !== 'note').length),
  };
}

const thicknessOf = (element: JobDocument['elements'][number] | undefined): string | null =>
  element && 'thickness' in element ? element.thickness : null;

const withThickness = (job: JobDocument, at: number, thickness: string): JobDocument => ({
  ...job,
  elements: job.elements.map((e, i) => (i === at && 'thickness' in e ? { ...e, thickness } : e)),
});

/** This job beside another, or beside itself with another thickness: what it would cost in bags, hours and dates. */
export function CompareStep() {
  const { id = '' } = useParams();
  const document = useDocument();
  const { lines: log } = useDiaryOf();
  const { report } = usePlanned();
  const [chosen, choose] = useChosenElement();
  const [by, setBy] = useState<'thickness' | 'job'>('thickness');
  const [thickness, setThickness] = useState('');
  const [other, setOther] = useState('');
  const jobs = (api.useQuery('get', '/api/jobs', {}, { staleTime: 10_000 }).data ?? []).filter(
    (j) => j.id !== id,
  );
  const there = by === 'job' && other !== '';
  const theirs = api.useQuery(
    'get',
    '/api/jobs/{id}',
    { params: { path: { id: other } } },
    { enabled: there, staleTime: 10_000 },
  ).data?.document;
  const beside =
    by === 'thickness'
      ? thickness.trim() === ''
        ? null
        : withThickness(document, chosen, thickness)
      : theirs;
  // Another job is taken as it was planned; this one with what was told of it.
  const told = by === 'thickness' ? log : [];
  const { data: second } = useQuery({
    queryKey: ['compare', beside, told, by === 'thickness' ? report.pour : null],
    queryFn: async ({ signal }) => {
      if (!beside) throw new Error();
      const pour = by === 'thickness' ? report.pour : null;
      const answer = await http.POST('/api/plan', { body: { document: beside, log: told, pour }, signal });
      if (!answer.data) throw new Error('it cannot be planned');
      return answer.data;
    },
    enabled: beside != null,
    placeholderData: keepPreviousData,
    staleTime: Infinity,
  });
  const format = formatsFor(document.units, document.timeZone, document.buy.currency);
  const otherFormat = beside ? formatsFor(document.units, beside.timeZone, beside.buy.currency) : format;
  const left = said(report, format);
  const right = beside && second ? said(second, otherFormat) : null;
  const name = by === 'thickness' ? thickness.trim() : (jobs.find((j) => j.id === other)?.name ?? '');
  const rows = Object.keys(words.rows) as Row[];
  return (
    <section className={classes.page} aria-labelledby="compare-title">
      <h2 id="compare-title" className="visually-hidden">
        {words.title}
      </h2>
      <p className={classes.sentence} data-testid="sentence" aria-live="polite">
        {right === null
          ? words.waits
          : right.cost === NONE
            ? words.cannot(name)
            : words.sentence(name, left.cost, right.cost)}
      </p>
      <div className={classes.choice}>
        <SegmentedControl
          aria-label={words.with}
          value={by}
          data={[
            { value: 'thickness', label: words.thicker },
            { value: 'job', label: words.anotherJob },
          ]}
          onChange={(v) => {
            setBy(v);
          }}
        />
        {by === 'thickness' ? (
          <>
            <NativeSelect
              label={words.of}
              value={String(chosen)}
              data={document.elements.map((e, i) => ({
                value: String(i),
                label: e.name,
                disabled: thicknessOf(e) === null,
              }))}
              onChange={(e) => {
                choose(Number(e.currentTarget.value));
              }}
            />
            <TextInput
              label={words.thickness}
              placeholder={thicknessOf(document.elements[chosen]) ?? ''}
              value={thickness}
              onChange={(e) => {
                setThickness(e.currentTarget.value);
              }}
            />
          </>
        ) : (
          <NativeSelect
            label={words.job}
            value={other}
            data={[{ value: '', label: NONE }, ...jobs.map((j) => ({ value: j.id, label: j.name }))]}
            onChange={(e) => {
              setOther(e.currentTarget.value);
            }}
          />
        )}
      </div>
      <table className={`${table.ruled ?? ''} ${classes.table ?? ''}`}>
        <thead>
          <tr>
            <th scope="col">{words.figure}</th>
            <th scope="col">{words.asIs}</th>
            <th scope="col">{name === '' ? NONE : name}</th>
          </tr>
        </thead>
        <tbody>
          {rows.map((row) => {
            const differs = right !== null && right[row] !== left[row];
            return (
              <tr key={row} data-differs={differs}>
                <th scope="row">{words.rows[row]}</th>
                <td>{left[row]}</td>
                <td>
                  {right?.[row] ?? NONE}
                  {differs && <span className="visually-hidden"> ({words.differs})</span>}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </section>
  );
}
