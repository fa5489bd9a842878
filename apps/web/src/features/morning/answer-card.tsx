import { Button } from '@mantine/core';
import { ruleOf, type Window, type PlaceRecord, type VehicleAnswer, type VehicleRecord } from '@keen/core';
import { useDisclosure } from '@mantine/hooks';
import { Link } from 'react-router';
import { useFormat } from '../../format/use-format.js';
import { Glyph } from '../../parts/glyph.js';
import { chanceText } from '../../words/plan-words.js';
import { seasonJobsText } from '../../words/car-names.js';
import { methodName, nameOf } from '../../words/names.js';
import { alsoIfText, verdictText } from '../../words/verdict-words.js';
import { wayBeside } from '../../words/way-words.js';
import { dueText } from '../../words/due-words.js';
import classes from './morning.module.css';
import { bodyGrade } from './morning-view.js';
import { MarginGauge } from '../../parts/margin-gauge.js';
import { CardCar } from './card-car.js';
import { Why } from './why.js';

interface AnswerCardProps {
  readonly answer: VehicleAnswer;
  readonly best: Window;
  readonly vehicleName: string;
  /** Absent: the car is not read yet. */
  readonly vehicle: VehicleRecord | undefined;
  readonly places: readonly PlaceRecord[] | undefined;
  /** Absent: it is not to be planned from here, since it is being worked out again. */
  readonly onPlan?: () => void;
  readonly isPlanning?: boolean;
  /** It is what to do first: its button is the one that stands out. */
  readonly isFirst: boolean;
}

/** One car's answer: when, where, how, the reason; and on request why. */
function AnswerCard({
  answer,
  best,
  vehicleName,
  vehicle,
  places,
  onPlan,
  isPlanning = false,
  isFirst,
}: AnswerCardProps) {
  const format = useFormat();
  const [opened, { toggle }] = useDisclosure(false);
  const way = wayBeside(best.wayId, best.limiting);
  const whyId = `why-${answer.vehicleId}`;
  return (
    <article className={classes.card} data-verdict={best.verdict} aria-label={vehicleName}>
      <div className={classes.when}>
        <div className={`${classes.hour} figure`}>{format.time(best.startMs)}</div>
        <div className={`${classes.span} figure`}>to {format.time(best.endMs)}</div>
      </div>
      <CardCar vehicle={vehicle} zones={answer.zones} />
      <div className={classes.what}>
        <h3>{vehicleName}</h3>
        <p className={classes.how}>
          {nameOf(places, best.placeId)}, {methodName(best.methodId)}
          {best.extras.jobIds.length > 0 && `, with ${seasonJobsText(best.extras.jobIds)}`}
          <span className="muted">
            {' '}
            · {dueText(answer.due)} · soil grade {bodyGrade(answer.soil)}
          </span>
        </p>
        <p className={classes.verdict}>
          <Glyph glyph={ruleOf(best.limiting.ruleId).glyph} size={18} />
          <MarginGauge finding={best.limiting} format={format} />
          <span>
            {verdictText(best.verdict, best.limiting, format)}
            {way && <>. {way}</>}
            {best.otherConditions.length > 0 && <>; and if {alsoIfText(best.otherConditions, format)}</>}
            <span className="muted"> · {best.failures ? chanceText(best.failures) : 'forecast'}</span>
          </span>
        </p>
      </div>
      <div className={`${classes.acts} no-print`}>
        {onPlan && (
          <Button
            {...(isFirst ? { color: 'lamp.3' } : { variant: 'default' })}
            aria-label={`Plan it: ${vehicleName}`}
            onClick={onPlan}
            loading={isPlanning}
          >
            Plan it
          </Button>
        )}
        <Button
          variant="subtle"
          aria-label={`${opened ? 'Close' : 'Why'}: ${vehicleName}`}
          onClick={toggle}
          aria-expanded={opened}
          aria-controls={whyId}
        >
          {opened ? 'Close' : 'Why'}
        </Button>
        <Button
          variant="subtle"
          component={Link}
          to={`/windows/${answer.vehicleId}`}
          aria-label={`Windows: ${vehicleName}`}
        >
          Windows
        </Button>
      </div>
      <div id={whyId} hidden={!opened} style={{ gridColumn: '1 / -1' }}>
        {opened && <Why answer={answer} best={best} places={places} format={format} />}
      </div>
    </article>
  );
}

interface AnswerCardsProps {
  readonly answers: readonly VehicleAnswer[];
  readonly vehicles: readonly VehicleRecord[] | undefined;
  readonly places: readonly PlaceRecord[] | undefined;
  /** Absent: none of them is to be planned from here. */
  readonly onPlan?: (answer: VehicleAnswer) => void;
  /** The car that is being planned just now. */
  readonly planningId?: string;
  /** What to do first on the screen; absent: it is none of these. */
  readonly firstId?: string | undefined;
}

/** The answers of those cars that have one. */
export const AnswerCards = ({ answers, vehicles, places, onPlan, planningId, firstId }: AnswerCardsProps) =>
  answers.map(
    (answer) =>
      answer.best && (
        <AnswerCard
          key={answer.vehicleId}
          answer={answer}
          best={answer.best}
          vehicleName={nameOf(vehicles, answer.vehicleId)}
          vehicle={vehicles?.find(({ id }) => id === answer.vehicleId)}
          places={places}
          {...(onPlan ? { onPlan: () => onPlan(answer) } : {})}
          isPlanning={planningId === answer.vehicleId}
          isFirst={firstId === answer.vehicleId}
        />
      ),
  );
