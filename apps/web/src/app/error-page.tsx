import { Button } from '@mantine/core';
import { Link, useRouteError } from 'react-router';
import { Page } from '../parts/page.js';
import { Failed } from '../parts/states.js';

/** A view that broke, or that does not exist. */
export function ErrorPage() {
  const error = useRouteError();
  return (
    <Page title="This view does not open">
      <Failed
        error={error instanceof Error ? error : new Error('There is nothing at this address.')}
        onRetry={() => window.location.reload()}
      />
      <div>
        <Button component={Link} to="/" variant="default">
          To this morning
        </Button>
      </div>
    </Page>
  );
}

export function NotFound() {
  return (
    <Page title="There is nothing at this address">
      <div>
        <Button component={Link} to="/" variant="default">
          To this morning
        </Button>
      </div>
    </Page>
  );
}
