'use client'

import { useEffect, useLayoutEffect } from 'react'

/** `useLayoutEffect` in the browser; on the server, where nothing is laid out, an effect that never runs. */
export const useBrowserLayoutEffect = typeof window === 'undefined' ? useEffect : useLayoutEffect
