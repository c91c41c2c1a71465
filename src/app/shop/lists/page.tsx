import { CraftLists } from './CraftLists'

export default function ListsPage() {
  return <CraftLists />
}
