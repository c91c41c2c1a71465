'use client'

import { chakra } from '@chakra-ui/react'
import { yupResolver } from '@hookform/resolvers/yup'
import { useParams, useRouter, useSearchParams } from 'next/navigation'
import {
  type ReactNode,
  useCallback,
  useEffect,
  useMemo,
  useRef,
  useState,
  useSyncExternalStore,
} from 'react'
import { FormProvider, type Resolver, useForm } from 'react-hook-form'
import { advicesIn } from '@/core/advice'
import { type Order, orderSchema, splitOrder } from '@/core/order'
import { type Decisions, noDecisions, type RunPlan } from '@/core/plan'
import type { StoredDecisions } from '@/store/decisions'
import type { StoredOrder } from '@/store/orders'
import type { ShopAndShelf } from '@/store/shop'
import { type Asked, DeskProvider } from '@/ui/desk'
import { useKey } from '@/ui/settings'
import { WhyPanel } from '@/ui/WhyPanel'
import { Frame } from '../../Frame'
import { storeDecisions } from '../actions'
import { OrderHead } from './OrderHead'
import { type OrderContext, OrderProvider } from './orderContext'
import { STAGE_NAMES, type StageName } from './stages'
import { Traveller } from './Traveller'
import { type Enqueue, useAutosave } from './useAutosave'
import { usePlan } from './usePlan'

const Fieldset = chakra('fieldset')

interface Props {
  readonly stored: StoredOrder
  readonly shelf: ShopAndShelf
  readonly decided: Readonly<Record<string, StoredDecisions>>
  readonly children: ReactNode
}

/** Everything about one order on one desk: the form, the runs, the plan of the run in hand and what was decided. */
export function OrderDesk({ stored, shelf, decided, children }: Props) {
  const form = useForm<Order>({
    defaultValues: stored.order as Order,
    // The schema reads the same values that the form holds; the resolver's own types insist on exact inference.
    resolver: yupResolver(orderSchema) as unknown as Resolver<Order>,
    mode: 'onChange',
  })
  const [order, setOrder] = useState(stored.order)
  // Decisions name a run that the order's own write makes: all writes of the desk go in one line.
  const line = useRef(Promise.resolve())
  const enqueue = useCallback<Enqueue>((write) => {
    line.current = line.current.then(write)
  }, [])
  const save = useAutosave(form, stored, setOrder, enqueue)

  const runs = useMemo(() => splitOrder(order), [order])
  const search = useSearchParams()
  const run = runs.find((r) => r.id === search.get('run')) ?? runs[0]
  const { decisions, decide, problem } = useDecisions(decided, run?.id, enqueue)
  const plan = usePlan(order, shelf.shop, decisions)

  const stage = (useParams<{ stage?: StageName }>().stage ?? 'order') as StageName
  const router = useRouter()
  const stagePath = useCallback(
    (to: StageName, runId = run?.id) => `/orders/${order.id}/${to}${runId ? `?run=${runId}` : ''}`,
    [order.id, run?.id],
  )
  const [asked, setAsked] = useState<Asked>()
  // biome-ignore lint/correctness/useExhaustiveDependencies: another stage or run asks nothing yet
  useEffect(() => setAsked(undefined), [stage, run?.id])
  const fresh = useMemo(() => freshest(asked, plan), [asked, plan])
  useKey(
    'Escape',
    useCallback(() => setAsked(undefined), []),
  )
  useDigits(
    useCallback(
      (n) => STAGE_NAMES[n - 1] && router.push(stagePath(STAGE_NAMES[n - 1] as StageName)),
      [router, stagePath],
    ),
  )

  const hydrated = useHydrated()
  const desk = useMemo(
    () => ({
      ask: setAsked,
      override: (key: string, value: number | string) =>
        decide((d) => ({ ...d, overrides: { ...d.overrides, [key]: value } })),
      takeBack: (key: string) =>
        decide((d) => {
          const { [key]: _, ...overrides } = d.overrides
          return { ...d, overrides }
        }),
    }),
    [decide],
  )
  const value = useMemo(
    (): OrderContext => ({
      order,
      shelf,
      runs,
      run,
      plan,
      decisions,
      stage,
      stagePath,
      ask: setAsked,
      setSchool: (school, option) =>
        decide((d) => {
          const { [school]: _, ...method } = d.method
          return {
            ...d,
            method: option === shelf.shop.method[school] ? method : { ...method, [school]: option },
          }
        }),
      setPrintOrder: (hitIds) => decide((d) => ({ ...d, order: hitIds })),
    }),
    [order, shelf, runs, run, plan, decisions, stage, stagePath, decide],
  )
  return (
    <OrderProvider value={value}>
      <DeskProvider value={desk}>
        <FormProvider {...form}>
          <Frame
            shopName={shelf.shop.name}
            rail={<Traveller />}
            aside={<WhyPanel asked={fresh} warnings={plan?.warnings} />}
          >
            <OrderHead saveState={problem ?? save} />
            {/* Nothing can be typed before the page listens, so nothing typed is lost. */}
            <Fieldset border="none" mt="4" disabled={!hydrated}>
              {children}
            </Fieldset>
          </Frame>
        </FormProvider>
      </DeskProvider>
    </OrderProvider>
  )
}

/** After a change the panel explains the value as it is now. */
const freshest = (asked: Asked | undefined, plan: RunPlan | undefined): Asked | undefined =>
  !asked || asked.kind === 'event' ? asked : (advicesIn(plan).find((a) => a.key === asked.key) ?? asked)

const NONE: Readonly<Record<string, StoredDecisions>> = {}

/** The decisions of the run in hand; each change is stored at once. */
function useDecisions(
  decided: Readonly<Record<string, StoredDecisions>>,
  runId: string | undefined,
  enqueue: Enqueue,
) {
  /** What was decided here, over what was read. */
  const [own, setOwn] = useState(NONE)
  const written = useRef<Record<string, number>>({})
  const [problem, setProblem] = useState<'conflict' | 'failed'>()
  const read = runId === undefined ? undefined : decided[runId]
  const mine = runId === undefined ? undefined : own[runId]
  // What is read again and is newer than what was decided here holds that too.
  const newest = mine && mine.version >= (read?.version ?? 1) ? mine : read
  const decisions = useMemo(
    () => newest?.decisions ?? (runId === undefined ? undefined : noDecisions(runId)),
    [newest, runId],
  )
  const decide = useCallback(
    (change: (d: Decisions) => Decisions) => {
      if (!decisions) return
      const next = change(decisions)
      const seen = read?.version ?? 1
      setOwn((d) => ({ ...d, [next.runId]: { decisions: next, version: (newest?.version ?? 1) + 1 } }))
      enqueue(async () => {
        try {
          const saved = await storeDecisions(next, Math.max(written.current[next.runId] ?? 1, seen))
          if (saved.ok) written.current[next.runId] = saved.version
          setProblem(saved.ok ? undefined : 'conflict')
        } catch {
          setProblem('failed')
        }
      })
    },
    [decisions, newest, read, enqueue],
  )
  return { decisions, decide, problem }
}

function useDigits(go: (digit: number) => void): void {
  useEffect(() => {
    const listen = (e: KeyboardEvent) => {
      if (!/^[1-8]$/.test(e.key) || e.ctrlKey || e.metaKey || e.altKey) return
      if (e.target instanceof Element && e.target.closest('input, textarea, select')) return
      go(Number(e.key))
    }
    window.addEventListener('keydown', listen)
    return () => window.removeEventListener('keydown', listen)
  }, [go])
}

const NEVER = () => () => undefined

/** False on the server and until the page listens. */
const useHydrated = (): boolean =>
  useSyncExternalStore(
    NEVER,
    () => true,
    () => false,
  )
