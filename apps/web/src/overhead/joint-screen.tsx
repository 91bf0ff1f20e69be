import { JointBatches } from '../production/joint-batches.js';
import { RunPage } from './run-page.js';

/** Run: joint batches, and how their cost is split. */
export function JointScreen() {
  return (
    <RunPage>
      <JointBatches />
    </RunPage>
  );
}
