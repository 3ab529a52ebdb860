import type { LearntResponse } from '@bunkhouse/api';
import { HANDBOOK_DIFFUSIVITY, LEARNT_FROM, tasteTarget } from '@bunkhouse/core';
import { useState } from 'react';
import { Link } from 'react-router';
import { leaveOut, useLearnt } from '../../data/learnt';
import { Refusal } from '../../data/request';
import { Hero } from '../../instruments/Hero';
import { GuideLink } from '../../shell/GuideLink';
import { usePreferences } from '../../shell/preferences';
import { digits, inWords } from '../../shell/quantities';
import { dayWithYear } from '../../shell/times';
import { TableHead } from '../../instruments/TableHead';
import { VERDICT_WORDS } from '../../shell/tradeWords';
import { Only } from '../../shell/Only';

const TEN_BILLIONTHS = 1e10;
/** What the house has learnt from its own batches, from which of them, and the way to leave one out. */
export function Learnt() {
  const learnt = useLearnt();
  return (
    <div className="page learnt">
      <div className="page-head">
        <h1 className="title">What the house has learnt</h1>
        <p className="lead">From cut faces and fry tests of its last batches. What is left out here counts for nothing; the log keeps it all the same.</p>
      </div>
      {learnt === undefined ? (
        <p className="note">Reading the logs...</p>
      ) : (
        <>
          <Speed learnt={learnt} />
          <Taste learnt={learnt} />
        </>
      )}
    </div>
  );
}

function Speed({ learnt: { diffusivity, cutFaces } }: { learnt: LearntResponse }) {
  const preferences = usePreferences();
  const { change, fault } = useLeaveOut();
  const length = (mm: number) => inWords(mm, 'length', preferences);
  const number = (m2s: number) => digits(m2s * TEN_BILLIONTHS, 2);
  return (
    <section className="panel" aria-label="How fast brine moves in its meat">
      <div className="ph">
        <h2>How fast brine moves in its meat</h2>
        <span className="aside">
          new batches are modelled with it; running ones keep theirs <GuideLink to="learnt" of="What the house has learnt" />
        </span>
      </div>
      <div className="pad">
        <div className="pair">
          <Hero
            label={`Diffusivity, at ${inWords(3, 'temperature', preferences, 0)}`}
            value={number(diffusivity.value)}
            unit="× 10⁻¹⁰ m²/s"
            doubt={`${number(diffusivity.low)} to ${number(diffusivity.high)}`}
          />
          <Hero
            label="Before anything was cut"
            value={number(HANDBOOK_DIFFUSIVITY.value)}
            unit="× 10⁻¹⁰ m²/s"
            doubt={`${number(HANDBOOK_DIFFUSIVITY.low)} to ${number(HANDBOOK_DIFFUSIVITY.high)}`}
          />
        </div>
        <p className="note">
          One piece in ten lies under the first bound, one in ten over the second. A face that is coloured to the middle says only that it is not slow. Pumped
          pieces say nothing here: the needle coloured them.
        </p>
        {fault !== null && <p className="fault">{fault}</p>}
      </div>
      {cutFaces.length === 0 ? (
        <p className="empty">No cut face is kept yet. Draw one when you pull a piece that was not pumped.</p>
      ) : (
        <div className="scroll-x">
          <table className="book">
            <TableHead columns={['Batch', 'Pulled', { numbers: 'coloured' }, { numbers: 'of' }, { numbers: 'the model now' }, { aloud: 'Counts' }]} />
            <tbody>
              {cutFaces.map((face) => (
                <tr key={face.id} className={face.leftOut ? 'left-out' : undefined}>
                  <th scope="row">
                    <Link to={`/batches/${face.batchId}`}>{face.code}</Link> {face.name}
                  </th>
                  <td>{dayWithYear(face.at)}</td>
                  <td className="n">{length(face.colouredMm)}</td>
                  <td className="n">{length(face.halfMm)}</td>
                  <td className="n">{length(face.expectedMm)}</td>
                  <td>
                    <LeaveOutButton what={face.code} leftOut={face.leftOut} onChange={(leftOut) => void change(face.id, leftOut)} />
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      )}
    </section>
  );
}

function Taste({ learnt: { taste, tasted } }: { learnt: LearntResponse }) {
  const { change, fault } = useLeaveOut();
  const before = tasteTarget([]);
  return (
    <section className="panel" aria-label="How its cooks like their salt">
      <div className="ph">
        <h2>How its cooks like their salt</h2>
        <span className="aside">the soak is planned to it</span>
      </div>
      <div className="pad">
        <div className="pair">
          <Hero label="Right at the edge" value={digits(taste.percent, 2)} unit="% salt" doubt={`± ${digits(taste.spread, 2)}`} />
          <Hero label="Before anything was tasted" value={digits(before.percent, 2)} unit="% salt" doubt={`± ${digits(before.spread, 2)}`} />
        </div>
        <p className="note">
          {taste.verdicts < LEARNT_FROM
            ? `From ${LEARNT_FROM} fry tests on it counts as learnt; there are ${taste.verdicts}.`
            : `From ${taste.verdicts} fry tests.`}{' '}
          The salt of each slice is the model’s; what was said of it is the cook’s.
        </p>
        {fault !== null && <p className="fault">{fault}</p>}
      </div>
      {tasted.length === 0 ? (
        <p className="empty">No fry test is kept yet.</p>
      ) : (
        <div className="scroll-x">
          <table className="book">
            <TableHead columns={['Batch', 'Fried', 'by', { numbers: 'edge' }, 'tasted', { numbers: 'right would be' }, { aloud: 'Counts' }]} />
            <tbody>
              {tasted.map((slice) => (
                <tr key={slice.id} className={slice.leftOut ? 'left-out' : undefined}>
                  <th scope="row">
                    <Link to={`/batches/${slice.batchId}`}>{slice.code}</Link> {slice.name}
                  </th>
                  <td>{dayWithYear(slice.at)}</td>
                  <td>{slice.by}</td>
                  <td className="n">{digits(slice.edgePercent, 2)} %</td>
                  <td>{VERDICT_WORDS[slice.verdict]}</td>
                  <td className="n">{digits(slice.impliedPercent, 2)} %</td>
                  <td>
                    <LeaveOutButton what={slice.code} leftOut={slice.leftOut} onChange={(leftOut) => void change(slice.id, leftOut)} />
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      )}
    </section>
  );
}

const LeaveOutButton = ({ what, leftOut, onChange }: { what: string; leftOut: boolean; onChange: (leftOut: boolean) => void }) => (
  <Only right="plan">
    <button type="button" className="lnk" onClick={() => onChange(!leftOut)} aria-label={leftOut ? `Count ${what} again` : `Leave ${what} out`}>
      {leftOut ? 'Left out: count it' : 'Leave it out'}
    </button>
  </Only>
);

function useLeaveOut() {
  const { name } = usePreferences();
  const [fault, setFault] = useState<string | null>(null);
  const change = async (id: string, leftOut: boolean) => {
    setFault(null);
    try {
      await leaveOut({ id, leftOut, by: name });
    } catch (error) {
      if (!(error instanceof Refusal)) throw error;
      setFault(error.message);
    }
  };
  return { change, fault };
}
