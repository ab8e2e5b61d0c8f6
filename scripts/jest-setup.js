/* global jest */
const { configure } = require('@testing-library/react');

// The first render transforms react-native lazily, and two cores may be busy.
jest.setTimeout(60_000);
configure({ asyncUtilTimeout: 15_000 });
