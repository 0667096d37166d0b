import './offline/start-early'
import { StrictMode } from 'react'
import { createRoot } from 'react-dom/client'
import { Provider } from 'react-redux'
import { RouterProvider } from 'react-router/dom'
import { Gatekeeper } from './app/gatekeeper'
import './app/install-offer'
import { keepInstalled } from './app/keep-installed'
import { router } from './app/router'
import { store } from './app/store'
import './style.css'

void keepInstalled()

createRoot(document.getElementById('root')!).render(
  <StrictMode>
    <Provider store={store}>
      <Gatekeeper>
        <RouterProvider router={router} />
      </Gatekeeper>
    </Provider>
  </StrictMode>,
)
