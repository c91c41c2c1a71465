'use client'

import { yupResolver } from '@hookform/resolvers/yup'
import { useParams, useRouter, useSearchParams } from 'next/navigation'
import {
  type ReactNode,
  startTransition,
  useCallback,
  useDeferredValue,
  useEffect,
  useMemo,
  useOptimistic,
  useRef,
  useState,
} from 'react'
import { FormProvider, type Resolver, useForm } from 'react-hook-form'
import { advicesIn, type Overrides, type Reason, warnings } from '@/core/advice'
import { versionOf } from '@/core/equipment'
import type { Batch } from '@/core/ink'
import { checkOrder, type Order, orderSchema, splitOrder } from '@/core/order'
import { type Decisions, keysToday, lostChoices, screenNames } from '@/core/plan'
import type { SheetMark } from '@/formats/sheet'
import type { StoredDecisions } from '@/store/decisions'
import type { StoredOrder } from '@/store/orders'
import type { StoredShop } from '@/store/shop'
import { useAnswer } from '@/ui/answer'
import { DeskProvider } from '@/ui/desk'
import { Fieldset } from '@/ui/elements'
import { useFindable } from '@/ui/findable'
import { useSettings } from '@/ui/settings'
import { useHydrated } from '@/ui/useHydrated'
import { WhyPanel } from '@/ui/WhyPanel'
import { ConflictPanel } from '../../edits/ConflictPanel'
import { inLine } from '../../edits/keeper'
import { type Stored, save } from '../../edits/save'
import { SAVE_WORDS } from '../../edits/saveWords'
import { unlocked } from '../../edits/unlocked'
import { type FormPart, useAutosave } from '../../edits/useAutosave'
import { Frame } from '../../Frame'
import { Deleted } from './Deleted'
import { freshest, hasOpen } from './freshest'
import { OrderHead } from './OrderHead'
import { type CustomerFacts, type OrderContext, OrderProvider } from './orderContext'
import { isStage, type StageName, stageShowing } from './stages'
import { Traveller } from './Traveller'
import { useDecisions } from './useDecisions'
import { type KnownPlan, usePlan } from './usePlan'
import { useShopChange } from './useShopChange'
import { useStageKeys } from './useStageKeys'

interface Props {
  readonly stored: StoredOrder
  readonly shop: StoredShop
  readonly decided: Readonly<Record<string, StoredDecisions>>
  readonly released: Readonly<Record<string, SheetMark>>
  /** Ink mixed for its runs. */
  readonly tubs: readonly Batch[]
  /** Prints that have films. */
  readonly pictured: readonly string[]
  readonly customer: CustomerFacts
  /** What stands against the films of each print. */
  readonly ofFilms: Readonly<Record<string, readonly Reason[]>>
  /** The plan of the run that was asked for, if the server knew it in time. */
  readonly known: KnownPlan | undefined
  readonly children: ReactNode
}

/** Everything about one order on one desk: the form, the runs, the plan of the run in hand and what was decided. */
export function OrderDesk(props: Props) {
  const { stored, shop, decided, released, tubs, pictured, customer, ofFilms, known, children } = props
  const { shelf } = shop
  const deleted = stored.deletedAt !== undefined
  const form = useForm<Order>({
    defaultValues: unlocked(stored.order),
    // The schema reads the same values that the form holds; the resolver's own types insist on exact inference.
    resolver: yupResolver(orderSchema) as unknown as Resolver<Order>,
    mode: 'onChange',
  })
  // Decisions name a run that the order's own write makes: all writes of the desk go in one line.
  const [enqueue] = useState(inLine)
  const parts = useMemo((): readonly FormPart<Order, Order>[] => {
    const subject = { kind: 'order', id: stored.order.id } as const
    return [
      {
        subject,
        read: { value: stored.order, version: stored.version },
        of: (order) => order,
        laid: (_, order) => order,
        check: checkOrder,
        store: (order, version) => save<Stored<Order>>(subject, order, version),
      },
    ]
  }, [stored])
  const saving = useAutosave(form, parts, !deleted, enqueue)
  const order = saving.value

  const runs = useMemo(() => splitOrder(order), [order])
  const search = useSearchParams()
  const run = runs.find((r) => r.id === search.get('run')) ?? runs[0]
  const names = useMemo(() => screenNames(order), [order])
  const decided_ = useDecisions(decided, run?.id, enqueue, names)
  const { decisions } = decided_
  const { units } = useSettings()
  const lost = lostChoices((run && decided[run.id]?.lost) ?? {}, names, units)
  const planned = usePlan(order, shelf.shop, decisions, known)
  const plan = useMemo(
    () =>
      planned && {
        ...planned,
        warnings: warnings([...planned.warnings, ...(ofFilms[planned.run.placement.id] ?? [])]),
      },
    [planned, ofFilms],
  )
  /** Keys of older programs are those of today from the first change on. */
  const latest = useRef(plan)
  useEffect(() => {
    latest.current = plan
  }, [plan])
  const { decide: decideAs } = decided_
  const decide = useCallback(
    (change: (d: Decisions) => Decisions) =>
      decideAs((d) => change({ ...d, overrides: keysToday(d.overrides, latest.current) })),
    [decideAs],
  )

  const named = useParams<{ stage?: string }>().stage ?? ''
  const stage: StageName = isStage(named) ? named : 'order'
  const router = useRouter()
  const stagePath = useCallback(
    (to: StageName, runId = run?.id) => `/orders/${order.id}/${to}${runId ? `?run=${runId}` : ''}`,
    [order.id, run?.id],
  )
  /** The stage that was asked for lights up at once, also while it is still being made. */
  const [going, setGoing] = useOptimistic(stage)
  const go = useCallback(
    (to: StageName) =>
      startTransition(() => {
        setGoing(to)
        router.push(stagePath(to))
      }),
    [router, setGoing, stagePath],
  )
  const answer = useAnswer(hasOpen(plan) ? { kind: 'open' } : undefined)
  const { ask, reset } = answer
  const fresh = useMemo(() => ({ ...answer, shown: freshest(answer.shown, plan) }), [answer, plan])
  // biome-ignore lint/correctness/useExhaustiveDependencies: another stage or run asks nothing yet
  useEffect(() => reset(), [stage, run?.id])
  useStageKeys(go)

  const saveState = decided_.state === 'saved' ? saving.state : decided_.state
  const hydrated = useHydrated()
  const desk = useMemo(
    () => ({
      ask,
      override: (key: string, value: number | string) =>
        decide((d) => ({ ...d, overrides: { ...d.overrides, [key]: value } })),
      takeBack: (key: string) =>
        decide((d) => {
          const { [key]: _, ...overrides } = d.overrides
          return { ...d, overrides }
        }),
    }),
    [ask, decide],
  )
  const { flush } = saving
  const { flush: flushDecisions } = decided_
  const lastRevision = (run && released[run.id]?.number) ?? 0
  const seen = useCallback(
    async () => ({
      order: await flush(),
      decisions: await flushDecisions(),
      shop: versionOf(shop.versions),
      revision: lastRevision,
    }),
    [flush, flushDecisions, shop.versions, lastRevision],
  )
  const setPrintOrder = useCallback(
    (hitIds: readonly string[]) => decide((d) => ({ ...d, order: hitIds })),
    [decide],
  )
  const decideAll = useCallback((next: Decisions) => decide(() => next), [decide])
  const changeShop = useShopChange(shop)
  const choose = useCallback(
    (keys: readonly string[], overrides: Overrides) =>
      decide((d) => {
        const kept = Object.entries(d.overrides).filter(([key]) => !keys.includes(key))
        return { ...d, overrides: { ...Object.fromEntries(kept), ...overrides } }
      }),
    [decide],
  )
  useFindable(
    useMemo(
      () =>
        advicesIn(plan).map((a) => ({ key: a.key, label: a.label, href: stagePath(stageShowing(a.key)) })),
      [plan, stagePath],
    ),
  )
  const value = useMemo(
    (): OrderContext => ({
      state: stored.state ?? 'open',
      said: stored.said ?? {},
      customer,
      order,
      shelf,
      runs,
      run,
      plan,
      asOf: planned === known?.plan ? known?.asOf : undefined,
      mark: run && released[run.id],
      seen,
      decisions,
      decided,
      tubs: tubs.filter((t) => t.runId === run?.id),
      pictured,
      stage,
      stagePath,
      ask,
      setPractice: (practice, option) =>
        decide((d) => {
          const { [practice]: _, ...method } = d.method
          return {
            ...d,
            method: option === shelf.shop.method[practice] ? method : { ...method, [practice]: option },
          }
        }),
      setPrintOrder,
      choose,
      decideAll,
      changeShop,
    }),
    [
      stored,
      customer,
      order,
      seen,
      shelf,
      runs,
      run,
      plan,
      planned,
      known,
      released,
      decisions,
      decided,
      tubs,
      pictured,
      stage,
      stagePath,
      decide,
      setPrintOrder,
      choose,
      decideAll,
      changeShop,
      ask,
    ],
  )
  return (
    // A key is answered at once; the stage with its hundreds of numbers follows.
    <OrderProvider value={useDeferredValue(value)}>
      <DeskProvider value={desk}>
        <FormProvider {...form}>
          <Frame
            shopName={shelf.shop.name}
            rail={
              <Traveller
                going={going}
                onGo={go}
                saved={{
                  words: decided_.problem || saving.problem || SAVE_WORDS[saveState],
                  all: saveState === 'saved',
                }}
              />
            }
            head={
              <OrderHead
                wrong={[...(stored.wrong ?? []), ...lost]}
                open={{ shown: answer.shown?.kind === 'open', toggle: answer.toggleOpen }}
              />
            }
            aside={fresh.shown && <WhyPanel answer={fresh} warnings={plan?.warnings} />}
          >
            {deleted && <Deleted id={order.id} />}
            {saving.conflicts.map((c) => (
              <ConflictPanel key={stored.order.id} conflict={c.conflict} onAgree={c.agree} />
            ))}
            {decided_.conflict && (
              <ConflictPanel conflict={decided_.conflict} names={names} onAgree={decided_.agree} />
            )}
            {/* Nothing can be typed before the page listens, so nothing typed is lost. */}
            <Fieldset border="none" minWidth="0" disabled={!hydrated}>
              {children}
            </Fieldset>
          </Frame>
        </FormProvider>
      </DeskProvider>
    </OrderProvider>
  )
}
