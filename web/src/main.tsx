import { StrictMode, Suspense } from 'react'
import { createRoot } from 'react-dom/client'
import { Provider } from 'react-redux'
import { RouterProvider } from 'react-router/dom'
import { Gatekeeper } from './app/gatekeeper'
import { router } from './app/router'
import { store } from './app/store'
import './style.css'
import { Loading } from './ui/loading'

createRoot(document.getElementById('root')!).render(
  <StrictMode>
    <Provider store={store}>
      <Gatekeeper>
        <Suspense fallback={<Loading />}>
          <RouterProvider router={router} />
        </Suspense>
      </Gatekeeper>
    </Provider>
  </StrictMode>,
)
