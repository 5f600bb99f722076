import { FolderOpen } from 'lucide-react';
import { useEffect, useState } from 'react';
import { named } from '../../../../../core/desk/edits/edit.ts';
import { edits } from '../../../../../core/desk/edits/edits.ts';
import { feedOf } from '../../../../../core/sources/feeds.ts';
import { learnSources } from '../../../../../core/sources/learn.ts';
import {
  MOST_REPORT,
  originAt,
  Outside,
  type Outside as OutsideValue,
} from '../../../../../core/sources/outside.ts';
import { formatMoment } from '../../../../../core/sources/time/time.ts';
import { compassPoint, pressureIn, temperatureIn, told, windIn } from '../../../../../core/sources/units.ts';
import { conditionOf } from '../../../../../core/sources/weather/codes.ts';
import { useConditions } from '../../../../session/conditions.ts';
import { useDesk } from '../../../../session/desk.ts';
import { FileButton } from '../../../../ui/file-button.tsx';
import { Section } from '../../../../ui/section.tsx';
import { toast } from '../../../../ui/toast.ts';
import { useTelling } from '../../../expressions/use-telling.ts';
import { Fields } from '../../../form/form.tsx';
import { FeedState, useWanted } from './state.tsx';

/** Where the reports of the weather station come from, and what they say. */
export function StationPage({ outside }: { outside: OutsideValue }) {
  useWanted('station');
  const { turn, endGesture } = useDesk.getState();
  const { report } = outside;
  const sample = useConditions(({ feeds }) =>
    report.by === 'address' ? feedOf(feeds, 'text', originAt(report))?.samples.at(-1) : undefined,
  );
  const text = report.by === 'typed' ? report.text : sample ? String(sample.reading) : '';
  return (
    <>
      <p className="mb-3 text-dust">
        METAR, and TAF for the hours ahead. Weather widgets show it where they read from the station.
      </p>
      <Fields
        schema={Outside}
        values={{ ...outside }}
        only={['report']}
        onTurn={(change, label) => turn(named(label, edits.setOutside(change)))}
        onEnd={endGesture}
      />
      {report.by === 'address' ? (
        <FeedState source="text" origin={originAt(report)} />
      ) : (
        <FileButton
          label="Reports from a file"
          accept=".txt,.metar,.taf,text/plain"
          onFile={(file) => void takeFile(file)}
        >
          <FolderOpen size={15} /> From a file…
        </FileButton>
      )}
      <Says text={text} />
    </>
  );
}

async function takeFile(file: File): Promise<void> {
  if (file.size > MOST_REPORT) {
    toast.warning(`“${file.name}” was not taken: reports may have ${MOST_REPORT} signs.`);
    return;
  }
  useDesk
    .getState()
    .edit(
      named('Reports from a file', edits.setOutside({ report: { by: 'typed', text: await file.text() } })),
    );
}

/** What comes of the reports, and what of them can't be read. */
function Says({ text }: { text: string }) {
  const telling = useTelling();
  const [work, setWork] = useState<{ problems: (text: string, around: number) => string[] } | null>(null);
  useEffect(() => {
    void Promise.all([
      import('../../../../../core/sources/station/reports.ts'),
      learnSources(['station']),
    ]).then(([{ readReports }]) =>
      setWork({ problems: (said, around) => readReports(said, around).problems }),
    );
  }, []);
  if (!telling || !work || text.trim() === '') return null;
  const { readings, facts } = telling;
  const said = readings.get('station').value;
  const { units } = facts;
  const rows: [string, string][] = said
    ? [
        ['Observed', formatMoment(said.now.moment, readings.place.zone, 'EEE d MMM HH:mm')],
        ['Sky', conditionOf(said.now.code).title],
        ['Temperature', told(temperatureIn(units.temperature, said.now.temperature))],
        [
          'Wind',
          said.now.direction === null
            ? 'calm'
            : `${compassPoint(said.now.direction)} ${told(windIn(units.wind, said.now.wind))}`,
        ],
        ['Pressure', told(pressureIn(units.pressure, said.now.pressure))],
        ['Ahead', `${said.hours.filter(({ code }) => code !== null).length} hours`],
      ]
    : [];
  return (
    <Section title="Comes of it">
      {rows.map(([name, value]) => (
        <p key={name} className="flex justify-between gap-3">
          <span className="text-dust">{name}</span>
          <span className="text-right">{value}</span>
        </p>
      ))}
      {work.problems(text, readings.moment).map((sentence) => (
        <p key={sentence} role="alert" className="text-[12px] text-rust">
          {sentence}.
        </p>
      ))}
      {!said && <p className="text-dust">No METAR that can be read.</p>}
      <pre className="mt-2 whitespace-pre-wrap rounded-lg bg-pit p-2 font-mono text-[11.5px] text-dust">
        {text.trim()}
      </pre>
    </Section>
  );
}
