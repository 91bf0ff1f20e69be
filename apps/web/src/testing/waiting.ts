import { configure } from '@testing-library/react';

/** What a test waits for comes later on a machine with much else to do. */
configure({ asyncUtilTimeout: 10_000 });
