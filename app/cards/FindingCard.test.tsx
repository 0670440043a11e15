import { readSetup } from '@pedastance/core';
import { fireEvent, render, screen } from '@testing-library/react';
import { build, estimated, method, setup } from '../../core/test/example';
import { FindingCard } from './FindingCard';

const speech = { length: 'cm', feet: 'lead and trail', hand: 'left' } as const;
const finding = (item: string) =>
  readSetup({
    setup: setup(),
    build: build({ shoulderBreadth: estimated(480, 20) }),
    legs: null,
    club: '7-iron',
    clubLengthInches: 37,
    shot: 'full',
    method,
  }).findings.find((each) => each.item === item)!;

test('a finding shows measured, how sure, band and verdict by word and shape; its why is one tap away', () => {
  render(<FindingCard finding={finding('leadFlare')} speech={speech} />);
  expect(screen.getByText('▼ too square')).toBeTruthy();
  expect(screen.getByText('± 2°')).toBeTruthy();
  expect(screen.getByText('12 to 18°')).toBeTruthy();
  expect(screen.queryByText(/lets the hips come through/)).toBeNull();
  fireEvent.click(screen.getByRole('button'));
  expect(screen.getByText(/lets the hips come through/)).toBeTruthy();
  expect(screen.getByText(/knee takes the twist/)).toBeTruthy();
  expect(screen.queryByText(/common practice, no source/)).toBeNull();
  fireEvent.click(screen.getByRole('button', { name: 'Why first' }));
  expect(screen.getByText(/common practice, no source/)).toBeTruthy();
});

test('a band that an estimate widened says which figure and what narrows it', () => {
  render(<FindingCard finding={finding('stanceWidth')} speech={speech} openAtFirst />);
  expect(screen.getByText(/because the shoulder breadth is only estimated. A tape narrows it/)).toBeTruthy();
});

test('left and right are said of a left-hander’s own feet', () => {
  render(<FindingCard finding={finding('leadFlare')} speech={{ ...speech, feet: 'left and right' }} />);
  expect(screen.getByText('Right flare')).toBeTruthy();
});
