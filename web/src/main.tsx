import './parts/nonce'
import { QueryClient, QueryClientProvider } from '@tanstack/react-query'
import { StrictMode } from 'react'
import { createRoot } from 'react-dom/client'
import { createBrowserRouter, RouterProvider } from 'react-router'
import { Refused } from './api/client'
import { Home } from './workroom/Home'
import { JobPage } from './job/JobPage'
import { Look } from './parts/Look'
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

const router = createBrowserRouter([
  { path: '/', element: <Home /> },
  { path: '/jobs/:id/:stage?', element: <JobPage /> },
  { path: '*', element: <Home /> },
])

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
