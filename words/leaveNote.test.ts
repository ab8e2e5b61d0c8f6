import { leaveNote } from './leaveNote';

describe('the note to leave', () => {
  it('names no runs where none are planned', () => {
    const note = {
      ...{ water: 'Upper Brook', day: 'Thu', leave: '5', back: '9', act: '10', alone: false },
      place: { latDeg: 57, lonDeg: 5 },
    };
    expect(
      leaveNote({ ...note, runs: [] })
        .split('\n')
        .slice(0, 2),
    ).toEqual(['Fishing the Upper Brook, Thu.', 'The water is at 57.0000, 5.0000.']);
  });

  it('says where, when back, and what to do', () => {
    const text = leaveNote({
      ...{ water: 'Upper Brook', day: 'Thu 10 Sep', leave: '05:10', back: '21:00', act: '22:00', alone: true },
      runs: [
        { name: 'Long Pool', place: { latDeg: 57.123456, lonDeg: -5.5 } },
        { name: 'The Flat', place: null },
      ],
      place: { latDeg: 57.1, lonDeg: -5.5 },
    });
    expect(text.split('\n')).toEqual([
      'Fishing the Upper Brook, Thu 10 Sep, alone.',
      'I will be at, in this order:',
      '1. Long Pool (57.1235, -5.5000)',
      '2. The Flat',
      'The water is at 57.1000, -5.5000.',
      'Leaving at 05:10, back by 21:00.',
      'If you have heard nothing by 22:00, call me. If I do not answer, call the emergency services and give them the places above.',
    ]);
  });
});
