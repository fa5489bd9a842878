import { Button } from '@mantine/core';
import { useEffect } from 'react';
import { Link } from 'react-router';
import classes from './access.module.css';

/** The ways in which a phone or computer comes to trust a file; which of them it is shows when the file is opened. */
const WAYS = [
  {
    when: 'Where opening the file offers a profile',
    steps: [
      'Allow the profile.',
      'In the settings, look for the profiles and install it.',
      'In the settings, under what is said about this phone, look for certificate trust and switch it on.',
    ],
  },
  {
    when: 'Where it does not',
    steps: [
      'Keep the file.',
      'Search the settings for “CA certificate” and install it from the file. The phone warns that it could be listened to: only by somebody who has this shop’s authority, and that never leaves the shop’s computer.',
    ],
  },
  {
    when: 'On a computer',
    steps: ['Add the file under the browser’s certificates, as an authority that may identify websites.'],
  },
] as const;

/** Leads a phone through trusting the shop's own authority, once. */
export function TrustPage() {
  useEffect(() => {
    document.title = 'Trust this shop · Keen Rinse';
  }, []);
  return (
    <main className={classes.door}>
      <article className={`${classes.card} ${classes.wide}`}>
        <h1>Trust this shop’s computer</h1>
        <p>
          Your browser warns about this page because it does not know the shop’s own authority. Trust it once,
          and nobody on the network can listen in; the program then also opens with no signal.
        </p>
        <Button component="a" href="/api/access/authority" download="keen-rinse-authority.crt" size="xl">
          Get the file
        </Button>
        {WAYS.map(({ when, steps }) => (
          <section key={when} aria-label={when}>
            <h2>{when}</h2>
            <ol>
              {steps.map((step) => (
                <li key={step}>{step}</li>
              ))}
            </ol>
          </section>
        ))}
        <p>
          Then <Link to="/pair">let this phone in</Link> with a code from the desk.
        </p>
      </article>
    </main>
  );
}
