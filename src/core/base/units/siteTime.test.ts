import { apartText, clockIn, dateIn, minutesApart, momentIn, wallIn } from './siteTime'

// Santiago is three hours behind UTC in November (summer time), four in July [std: IANA time zone database]
const NOON = Date.UTC(2026, 10, 27, 12, 0)
const SITE = 'America/Santiago'

test('the clock at the site, with its day where that is not today there', () => {
  expect(clockIn(NOON, NOON, SITE)).toBe('09:00')
  expect(clockIn(NOON, NOON, 'UTC')).toBe('12:00')
  // 02:30 UTC is still the evening before at the site
  const night = Date.UTC(2026, 10, 28, 2, 30)
  expect(clockIn(night, NOON, SITE)).toBe('23:30')
  expect(clockIn(night, NOON, 'UTC')).toBe('Sat 02:30')
  expect(clockIn(Date.UTC(2026, 10, 3, 15, 5), NOON, 'UTC')).toBe('3 Nov 15:05')
  expect(clockIn(new Date(NOON).toISOString(), NOON, SITE)).toBe('09:00')
  expect(momentIn(NOON, SITE)).toBe('27 Nov 09:00')
  expect(dateIn(night, SITE)).toBe('27 Nov')
  expect(dateIn(night, 'UTC')).toBe('28 Nov')
})

test('midnight is 00, and the wall is written as a day is stored', () => {
  expect(clockIn(Date.UTC(2026, 10, 27, 0, 0), NOON, 'UTC')).toBe('00:00')
  expect(wallIn(Date.UTC(2026, 10, 27, 2, 5), SITE)).toBe('2026-11-26T23:05')
})

test('how far two clocks are apart, by the season', () => {
  expect(minutesApart(NOON, SITE, 'UTC')).toBe(-180)
  expect(minutesApart(Date.UTC(2026, 6, 1), SITE, 'UTC')).toBe(-240)
  expect(apartText(NOON, SITE, 'UTC')).toBe('3 h behind here')
  expect(apartText(NOON, 'Asia/Kolkata', 'UTC')).toBe('5.5 h ahead of here')
  expect(apartText(NOON, 'UTC', 'UTC')).toBeUndefined()
  expect(() => minutesApart(NOON, 'Nowhere/Else', 'UTC')).toThrow(RangeError)
})
