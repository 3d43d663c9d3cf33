'use client'

// The frame stays: what failed is what stands in it.
export { default } from '@/app/error'
