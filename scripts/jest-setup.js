/* global jest */
jest.setTimeout(60_000); // the first render transforms react-native lazily
