import { ListAndDetail } from '../controls/layout/list-and-detail.js';
import { useChosenRow } from '../controls/layout/use-chosen-row.js';
import { RunPage } from './run-page.js';
import { RunningCostDetail } from './running-cost-detail.js';
import { RunningCostGrid } from './running-cost-grid.js';
import { OpenDay, SharedOut } from './shared-out.js';

/** Run: what the business costs whether or not anything is made, and how it is shared out over the products. */
export function RunScreen() {
  const { chosen, choose } = useChosenRow('run');
  return (
    <RunPage>
      <ListAndDetail
        wide="list"
        narrow="25rem"
        list={<RunningCostGrid chosen={chosen} onSelect={choose} />}
        detail={
          <>
            <OpenDay />
            {chosen === undefined ? <SharedOut /> : <RunningCostDetail key={chosen} id={chosen} />}
          </>
        }
      />
    </RunPage>
  );
}
