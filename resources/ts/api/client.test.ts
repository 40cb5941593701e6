import { afterEach, describe, expect, it, vi } from 'vitest'
import { patiently } from './client'

const busy = () => new Response('{}', { status: 503, headers: { 'Retry-After': '1', 'Cathedra-Busy': '1' } })
afterEach(() => { vi.useRealTimers() })

describe('what the server has not begun', () => {
  it('is asked again, with its body, until there is an answer', async () => {
    vi.useFakeTimers()
    const bodies: string[] = []
    const answers = [busy(), busy(), new Response('there', { status: 200 })]
    const asked = patiently(new Request('http://x.example/a', { method: 'POST', body: 'plan' }), async (request) => {
      bodies.push(await request.text())
      return answers.shift() ?? busy()
    })
    await vi.advanceTimersByTimeAsync(5000)
    expect(await (await asked).text()).toBe('there')
    expect(bodies).toEqual(['plan', 'plan', 'plan'])
  })
  it('is given up after half a minute and more', async () => {
    vi.useFakeTimers()
    let times = 0
    const asked = patiently(new Request('http://x.example/a'), () => {
      times++
      return Promise.resolve(busy())
    })
    await vi.advanceTimersByTimeAsync(60_000)
    expect((await asked).status).toBe(503)
    expect(times).toBe(40)
  })
  it('is not the database that is away: that is for the outbox', async () => {
    const away = new Response('{}', { status: 503, headers: { 'Retry-After': '2' } })
    expect(await patiently(new Request('http://x.example/a'), () => Promise.resolve(away))).toBe(away)
  })
})
