import { Canvas, useThree, type ThreeEvent } from '@react-three/fiber'
import { useEffect, useMemo, useRef } from 'react'
import {
  DoubleSide,
  Plane,
  RepeatWrapping,
  SRGBColorSpace,
  TextureLoader,
  Vector3,
  type BufferGeometry,
  type Texture,
} from 'three'
import type { ClothPlan, Sewn } from '../api/client'
import {
  drawnWay,
  farthest,
  outward,
  rimGeometry,
  sheetGeometry,
  slidOnCloth,
  type Print,
  type Sheet,
} from './geometry'
import { groupsOf, sewnSeams, waysOf } from './putTogether'
import { Inner, SewnLine, SewnMark } from './SewnParts'
import type { Slid } from './useSlide'

type Tile = ClothPlan['look']

/** From where the cover is looked at: turns round it and over it in radians, and how near. */
export interface View {
  round: number
  over: number
  near: number
  /** How far it is taken apart, 0 to 1. */
  apart: number
  /** Whether the cloth lets one look inside: filled covers are cut open, others seen through. */
  through: boolean
  /** How many steps of making are done, where it is put together in that order. */
  made: number | undefined
}

interface Props {
  sewn: Sewn
  tiles: Map<string, Tile>
  cordTone: string
  view: View
  held: string
  hold: (piece: string) => void
  slid: Slid | undefined
  /** Slides the print under the hand; left out while a hand turns the cover. */
  slide: ((to: Slid) => void) | undefined
  /** Tells that the hand took hold of the print. */
  grip: () => void
}

// What is cut away to show the filling: the half to the right.
const cutAway = [new Plane(new Vector3(-1, 0, 0), 0)]

/** The sewn cover in three dimensions. Drawn only when something has changed. */
export default function SewnModel({ sewn, tiles, cordTone, view, held, hold, slid, slide, grip }: Props) {
  const reach = useMemo(() => Math.max(0.05, ...sewn.sheets.map(farthest)), [sewn])
  // What is tucked goes with the rest of its piece.
  const outwards = useMemo(
    () =>
      sewn.sheets.map((sheet) =>
        outward(sewn.sheets.find((first) => first.piece === sheet.piece && first.instance === sheet.instance) ?? sheet),
      ),
    [sewn],
  )
  const { made, apart } = view
  const ways = useMemo(
    () =>
      made === undefined
        ? outwards.map((way) => way.clone().multiplyScalar(apart))
        : waysOf(outwards, groupsOf(sewn.sheets.length, sewn.steps, made), 0.8),
    [sewn, outwards, made, apart],
  )
  const whole = ways.every((way) => way.lengthSq() < 1e-6)
  const joined = useMemo(() => made !== undefined && sewnSeams(sewn.steps, made), [sewn, made])
  const open = view.through && sewn.filled
  return (
    <Canvas
      frameloop="demand"
      dpr={[1, 2]}
      camera={{ fov: 32, near: 0.01, far: 100 }}
      gl={{ preserveDrawingBuffer: true, localClippingEnabled: true }}
    >
      <Looking view={view} reach={reach * (whole ? 1 : 1.4)} />
      <hemisphereLight args={['#ffffff', '#8a8378', 1.6]} />
      <directionalLight position={[1.5, 3, 2.5]} intensity={1.7} />
      {sewn.sheets.map((sheet, at) => (
        <SewnSheet
          key={at}
          sheet={sheet}
          sewn={sewn}
          tiles={tiles}
          way={ways[at] ?? nowhere}
          through={view.through && !sewn.filled}
          cut={open ? cutAway : none}
          held={held === sheet.piece}
          hold={hold}
          slid={slid}
          slide={slide}
          grip={grip}
        />
      ))}
      {open && whole && <Inner sewn={sewn} />}
      {sewn.lines.map((line, at) => {
        const on = joined && line.seam !== '' ? joined.get(line.seam) : undefined
        return whole || on !== undefined ? (
          <SewnLine
            key={at}
            line={line}
            cordTone={cordTone}
            way={(on !== undefined && ways[on]) || nowhere}
            cut={open ? cutAway : none}
          />
        ) : null
      })}
      {whole && sewn.marks.map((mark, at) => <SewnMark key={at} mark={mark} />)}
    </Canvas>
  )
}

const nowhere = new Vector3()
const none: Plane[] = []

function Looking({ view, reach }: { view: View; reach: number }) {
  const { camera, invalidate } = useThree()
  useEffect(() => {
    const far = (reach * (4.1 + (view.made === undefined ? 2.4 * view.apart : 0))) / view.near
    camera.position.set(
      far * Math.cos(view.over) * Math.sin(view.round),
      far * Math.sin(view.over),
      far * Math.cos(view.over) * Math.cos(view.round),
    )
    camera.lookAt(0, 0, 0)
    camera.updateProjectionMatrix()
    invalidate()
  }, [camera, invalidate, reach, view])
  return null
}

interface SheetProps {
  sheet: Sheet
  sewn: Sewn
  tiles: Map<string, Tile>
  way: Vector3
  through: boolean
  cut: Plane[]
  held: boolean
  hold: (piece: string) => void
  slid: Slid | undefined
  slide: ((to: Slid) => void) | undefined
  /** Tells that the hand took hold of the print. */
  grip: () => void
}

function SewnSheet({ sheet, sewn, tiles, way, through, cut, held, hold, slid, slide, grip }: SheetProps) {
  const prints = useMemo(
    () => sewn.print.filter((each) => each.piece === sheet.piece && each.instance === sheet.instance),
    [sewn, sheet],
  )
  const shapes = useMemo(() => sheetGeometry(sheet, prints), [sheet, prints])
  useEffect(() => () => shapes.forEach((shape) => shape.dispose()), [shapes])
  const take = (event: ThreeEvent<MouseEvent>) => {
    event.stopPropagation()
    const [first] = sheet.pieces
    if (event.delta < 6 && first) hold(first)
  }
  return (
    <group position={way}>
      {[...shapes].map(([cloth, shape]) => (
        <Face
          key={cloth}
          shape={shape}
          tile={tiles.get(cloth)}
          through={through}
          cut={cut}
          take={take}
          print={prints.find((each) => each.cloth === cloth)}
          slid={slid}
          slide={slide}
          grip={grip}
        />
      ))}
      {held && <Rim sheet={sheet} />}
    </group>
  )
}

interface FaceProps {
  shape: BufferGeometry
  tile: Tile | undefined
  through: boolean
  cut: Plane[]
  take: (event: ThreeEvent<MouseEvent>) => void
  print: Print | undefined
  slid: Slid | undefined
  slide: ((to: Slid) => void) | undefined
  /** Tells that the hand took hold of the print. */
  grip: () => void
}

function Face({ shape, tile, through, cut, take, print, slid, slide, grip }: FaceProps) {
  const invalidate = useThree((three) => three.invalidate)
  const texture = useMemo(() => tile && textureOf(tile, () => invalidate()), [tile, invalidate])
  useEffect(() => () => texture?.dispose(), [texture])
  useEffect(() => {
    if (!texture || !tile) return
    const [across, along] =
      print && slid && print.slidesWith === slid.together ? slidOnCloth(print, slid.across, slid.along) : [0, 0]
    texture.offset.set(-across / tile.across, -(tile.from + along) / tile.along)
    invalidate()
  }, [texture, tile, print, slid, invalidate])
  // The place of the cloth that the hand took hold of stays under it.
  const taken = useRef<[number, number]>(undefined)
  const begin = (event: ThreeEvent<PointerEvent>) => {
    if (!slide || !print?.slidesWith || !event.uv) return
    event.stopPropagation()
    taken.current = [event.uv.x, event.uv.y]
    grip()
  }
  const move = (event: ThreeEvent<PointerEvent>) => {
    if (event.buttons === 0) taken.current = undefined
    if (!taken.current || !slide || !print?.slidesWith || !event.uv) return
    event.stopPropagation()
    const [across, along] = drawnWay(print, event.uv.x - taken.current[0], event.uv.y - taken.current[1])
    slide({ together: print.slidesWith, piece: print.cut, across, along })
  }
  return (
    <mesh
      geometry={shape}
      onClick={take}
      onPointerDown={begin}
      onPointerMove={move}
      onPointerUp={() => void (taken.current = undefined)}
    >
      <meshPhysicalMaterial
        {...(tile?.pile ? pile : {})}
        clippingPlanes={cut}
        {...(texture ? { map: texture } : { color: '#b9b2a6' })}
        side={DoubleSide}
        roughness={0.92}
        transparent={through}
        opacity={through ? 0.35 : 1}
        depthWrite={!through}
        polygonOffset
        polygonOffsetFactor={1}
      />
    </mesh>
  )
}

// Pile shines where one looks along it.
const pile = { sheen: 1, sheenRoughness: 0.45, sheenColor: '#ffffff' }

// The piece in hand is known by its edge, so that its cloth keeps its own colour.
function Rim({ sheet }: { sheet: Sheet }) {
  const shape = useMemo(() => rimGeometry(sheet), [sheet])
  useEffect(() => () => shape.dispose(), [shape])
  return (
    <lineSegments geometry={shape} renderOrder={2}>
      <lineBasicMaterial color="#ffd45e" depthTest={false} />
    </lineSegments>
  )
}

// Points of the cloth are in hundredths of a millimetre; a tile begins where its repeat does.
function textureOf(tile: Tile, seen: () => void): Texture {
  const texture = new TextureLoader().load(tile.tile, seen)
  texture.wrapS = texture.wrapT = RepeatWrapping
  texture.colorSpace = SRGBColorSpace
  texture.anisotropy = 8
  texture.repeat.set(1 / tile.across, 1 / tile.along)
  texture.offset.set(0, -tile.from / tile.along)
  return texture
}
