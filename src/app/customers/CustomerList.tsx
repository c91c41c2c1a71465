'use client'

import { Box, Flex } from '@chakra-ui/react'
import type { CustomerLine } from '@/store/customers'
import { Day } from '@/ui/day'
import { Empty } from '@/ui/Empty'
import { Link, PageTitle } from '@/ui/elements'
import { type PageOf, Pager } from '@/ui/Pager'
import { Table } from '@/ui/Section'
import { AskFrame } from '../AskFrame'
import { FindInList } from '../FindInList'
import { customerPath } from './customerPath'

interface Props {
  readonly shopName: string
  readonly lines: readonly CustomerLine[]
  readonly find: string
  readonly page: PageOf
}

/** Everyone whose orders the shop has, those with orders in the house first. */
export function CustomerList({ shopName, lines, find, page }: Props) {
  return (
    <AskFrame shopName={shopName}>
      <Flex align="baseline" gap="5" mb="3" wrap="wrap">
        <PageTitle>Customers</PageTitle>
        <Box color="soft">{page.total.toLocaleString('en')}</Box>
        <FindInList
          find={find}
          placeholder="customer (f)"
          path={(text) => `/customers${text ? `?${new URLSearchParams({ find: text })}` : ''}`}
        />
      </Flex>
      {lines.length === 0 ? (
        <Empty
          says={find ? `No customer with “${find}”.` : 'No customer yet: they come with their orders.'}
        />
      ) : (
        <Table>
          <thead>
            <tr>
              <th>Customer</th>
              <th className="num" style={{ width: '8rem' }}>
                In the house
              </th>
              <th className="num" style={{ width: '8rem' }}>
                Orders in all
              </th>
              <th style={{ width: '10rem' }}>Last due</th>
            </tr>
          </thead>
          <tbody>
            {lines.map(({ name, orders, open, last }) => (
              <tr key={name}>
                <td>
                  <Link
                    href={customerPath(name)}
                    prefetch={false}
                    fontWeight="650"
                    _hover={{ textDecoration: 'underline' }}
                  >
                    {name}
                  </Link>
                </td>
                <td className="num">
                  <Box fontSize="lead" fontWeight="650">
                    {open || ''}
                  </Box>
                </td>
                <td className="num">{orders}</td>
                <td>
                  <Day at={last} />
                </td>
              </tr>
            ))}
          </tbody>
        </Table>
      )}
      <Pager page={page} />
    </AskFrame>
  )
}
