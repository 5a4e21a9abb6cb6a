import './parts/nonce'
import { QueryClient, QueryClientProvider } from '@tanstack/react-query'
import { lazy, StrictMode, Suspense, type ReactNode } from 'react'
import { createRoot } from 'react-dom/client'
import { createBrowserRouter, RouterProvider } from 'react-router'
import { Refused } from './api/client'
import { Home } from './workroom/Home'
import { JobPage } from './job/JobPage'
import { Look } from './parts/Look'
import { printsSheets } from './parts/Print'
import './parts/base.css'

const queries = new QueryClient({
  defaultOptions: {
    queries: {
      retry: (failures, error) => failures < 2 && !(error instanceof Refused && error.status < 500),
      refetchOnWindowFocus: false,
      staleTime: 5_000,
    },
  },
})

const Customers = lazy(() => import('./workroom/Customers'))
const CustomerPage = lazy(() => import('./workroom/CustomerPage'))
const Week = lazy(() => import('./week/Week'))
const Figures = lazy(() => import('./figures/Figures'))
const Stock = lazy(() => import('./workroom/Stock'))
const Recall = lazy(() => import('./workroom/Recall'))
const Devices = lazy(() => import('./devices/Devices'))
const Files = lazy(() => import('./workroom/Files'))
const Prices = lazy(() => import('./workroom/Prices'))
const PaperList = lazy(() => import('./papers/PaperList'))
const PaperPage = lazy(() => import('./papers/PaperPage'))
const later = (page: ReactNode) => <Suspense fallback={<p>…</p>}>{page}</Suspense>

const router = createBrowserRouter([
  { path: '/', element: <Home /> },
  { path: '/customers', element: later(<Customers />) },
  { path: '/customers/:id', element: later(<CustomerPage />) },
  { path: '/week', element: later(<Week />) },
  { path: '/figures', element: later(<Figures />) },
  { path: '/stock', element: later(<Stock />) },
  { path: '/recall', element: later(<Recall />) },
  { path: '/files', element: later(<Files />) },
  { path: '/devices', element: later(<Devices />) },
  { path: '/prices', element: later(<Prices />) },
  { path: '/papers', element: later(<PaperList />) },
  { path: '/papers/:id', element: later(<PaperPage />) },
  { path: '/jobs/:id/:stage?', element: <JobPage /> },
  { path: '*', element: <Home /> },
])

printsSheets()
const root = document.getElementById('root')
if (!root) throw new Error('the page has no root')
createRoot(root).render(
  <StrictMode>
    <QueryClientProvider client={queries}>
      <Look>
        <RouterProvider router={router} />
      </Look>
    </QueryClientProvider>
  </StrictMode>,
)
