import { decimal } from '@puntada/core/craft';
import { type ActPace, type OwnPace, secondsEach } from '@puntada/core/plan';
import { actWords, logSaid, secondsWords } from '@puntada/core/words';
import { usePreferences } from '../../api/api.ts';

/** What takes less of the time than this is not told. */
const leastShare = 0.02;

/** How long this hand takes for each kind of stitch, beside a steady one. */
export function HandTable({ pace }: { pace: OwnPace }) {
  const told = pace.acts.filter(({ share }) => share >= leastShare);
  if (!told.length) return null;
  return (
    <table className="mt-4 w-full text-left text-[15px]">
      <caption className="sr-only">{logSaid.yourSecondsPerStitch}</caption>
      <thead className="text-[14px] text-soft">
        <tr>
          <th scope="col" className="py-1.5 font-semibold">
            Seconds each
          </th>
          <th scope="col" className="pl-4 text-right font-semibold">
            yours
          </th>
          <th scope="col" className="pl-4 text-right font-semibold">
            average
          </th>
          <th scope="col" className="pl-4 text-right font-semibold">
            of your time
          </th>
        </tr>
      </thead>
      <tbody>
        {told.map((each) => (
          <Row key={each.act} pace={pace} each={each} />
        ))}
      </tbody>
    </table>
  );
}

function Row({ pace, each }: { pace: OwnPace; each: ActPace }) {
  const { terms } = usePreferences();
  const { own, steady } = secondsEach(pace, each);
  return (
    <tr className="border-t border-rule">
      <th scope="row" className="py-1.5 font-normal">
        {actWords(each.act, terms)}
      </th>
      <td className="count pl-4 text-right whitespace-nowrap">{secondsWords(own)}</td>
      <td className="count pl-4 text-right whitespace-nowrap text-soft">{decimal(steady, 1)} s</td>
      <td className="count pl-4 text-right whitespace-nowrap text-soft">{Math.round(each.share * 100)} %</td>
    </tr>
  );
}
