/** The places of the app, as the rail and the palette list them. */
export const PAGES = [
  { href: '/', label: 'Today' },
  { href: '/orders', label: 'Orders' },
  { href: '/customers', label: 'Customers' },
  { href: '/screens', label: 'Screens' },
  { href: '/ink', label: 'Ink' },
  { href: '/press', label: 'Press' },
  { href: '/record', label: 'Record' },
  { href: '/shop', label: 'Shop' },
  { href: '/rules', label: 'Rules' },
] as const

/** The parts of Shop. */
export const SHOP_PAGES = [
  { href: '/shop', label: 'Presses' },
  { href: '/shop/stock', label: 'Frames, squeegees, dryers' },
  { href: '/shop/heat', label: 'Heat' },
  { href: '/shop/stencils', label: 'Stencils and light' },
  { href: '/shop/shelf', label: 'Inks and cloths' },
  { href: '/shop/method', label: 'Method and hours' },
  { href: '/shop/lists', label: 'Lists of the craft' },
  { href: '/shop/trouble', label: 'Trouble' },
  { href: '/shop/data', label: 'Data' },
] as const

/** The parts of the screen room. */
export const SCREEN_PAGES = [
  { href: '/screens', label: 'Screen room' },
  { href: '/screens/light', label: 'Exposure and step test' },
  { href: '/screens/frames', label: 'Frames and tension' },
] as const

/** The parts of the ink room. */
export const INK_PAGES = [
  { href: '/ink', label: 'Ink room' },
  { href: '/ink/formulas', label: 'Find a formula' },
  { href: '/ink/rack', label: 'Rack and stock' },
  { href: '/ink/history', label: 'What was mixed' },
] as const
