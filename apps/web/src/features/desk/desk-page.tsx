import { CALCULATORS } from '@keen/core';
import { useParams } from 'react-router';
import { useFormat } from '../../format/use-format.js';
import { Page } from '../../parts/page.js';
import { Empty } from '../../parts/states.js';
import { DeskSum } from './desk-sum.js';
import { SumList } from './sum-list.js';
import { FIRST_SUM } from './sums.js';
import { WashSum } from './wash/wash-sum.js';
import classes from './desk.module.css';

/** The sums of the trade, by what one has in hand; the answer moves as one types or pulls. */
export function DeskPage() {
  const { name = FIRST_SUM } = useParams();
  const calculator = CALCULATORS.get(name);
  const format = useFormat();
  return (
    <Page
      title="Reference desk"
      lead="Every sum that the program does, for any figures of your own, in the units of your settings."
    >
      <div className={classes.desk}>
        <SumList current={name} />
        {name === 'wash' ? (
          <WashSum key={JSON.stringify(format.display)} />
        ) : calculator ? (
          <DeskSum
            key={`${name} ${JSON.stringify(format.display)}`}
            name={name}
            question={calculator.question}
          />
        ) : (
          <Empty title="There is no such sum">Choose one from the list.</Empty>
        )}
      </div>
    </Page>
  );
}
