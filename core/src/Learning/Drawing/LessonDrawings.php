<?php

declare(strict_types=1);

namespace MillStep\Core\Learning\Drawing;

use MillStep\Core\Learning\Drawing\Bench\CaliperInHole;
use MillStep\Core\Learning\Drawing\Bench\ChainError;
use MillStep\Core\Learning\Drawing\Bench\DividersInset;
use MillStep\Core\Learning\Drawing\Bench\MarkDrawnBack;
use MillStep\Core\Learning\Drawing\Bench\MarkingOut;
use MillStep\Core\Learning\Drawing\Bench\MushroomHead;
use MillStep\Core\Learning\Drawing\Bench\PitchOfTwo;
use MillStep\Core\Learning\Drawing\Bench\ProofCircle;
use MillStep\Core\Learning\Drawing\Bench\PunchAngles;
use MillStep\Core\Learning\Drawing\Bench\PunchUpright;
use MillStep\Core\Learning\Drawing\Bench\ScriberInCorner;
use MillStep\Core\Learning\Drawing\Bench\SquareToLight;
use MillStep\Core\Learning\Drawing\Bench\VBlockHalves;
use MillStep\Core\Learning\Drawing\Bench\WoundUp;
use MillStep\Core\Learning\Drawing\Cutting\BlindSection;
use MillStep\Core\Learning\Drawing\Cutting\CrossBreakout;
use MillStep\Core\Learning\Drawing\Cutting\CrossRule;
use MillStep\Core\Learning\Drawing\Cutting\FlatOnLip;
use MillStep\Core\Learning\Drawing\Cutting\HalfAndBack;
use MillStep\Core\Learning\Drawing\Cutting\HeldAsPlanned;
use MillStep\Core\Learning\Drawing\Cutting\PlugFits;
use MillStep\Core\Learning\Drawing\Cutting\ReamLeft;
use MillStep\Core\Learning\Drawing\Cutting\Reflection;
use MillStep\Core\Learning\Drawing\Cutting\SheetCorners;
use MillStep\Core\Learning\Drawing\Cutting\StepDrillMark;
use MillStep\Core\Learning\Drawing\Cutting\StopNuts;
use MillStep\Core\Learning\Drawing\Cutting\TaperTang;
use MillStep\Core\Learning\Drawing\Cutting\TapKinds;
use MillStep\Core\Learning\Drawing\Cutting\TapSquare;
use MillStep\Core\Learning\Drawing\Cutting\TwoReaders;
use MillStep\Core\Learning\Drawing\Cutting\WristTurn;
use MillStep\Core\Learning\Drawing\Lathe\BellMouth;
use MillStep\Core\Learning\Drawing\Lathe\CarriedBar;
use MillStep\Core\Learning\Drawing\Lathe\CentreHoles;
use MillStep\Core\Learning\Drawing\Lathe\ChalkRing;
use MillStep\Core\Learning\Drawing\Lathe\CrookedStart;
use MillStep\Core\Learning\Drawing\Lathe\DialTurns;
use MillStep\Core\Learning\Drawing\Lathe\JawSlots;
use MillStep\Core\Learning\Drawing\Lathe\JawsOverhang;
use MillStep\Core\Learning\Drawing\Lathe\Lash;
use MillStep\Core\Learning\Drawing\Lathe\LatheParts;
use MillStep\Core\Learning\Drawing\Lathe\ParallelBlade;
use MillStep\Core\Learning\Drawing\Lathe\RearWhip;
use MillStep\Core\Learning\Drawing\Lathe\RingBatch;
use MillStep\Core\Learning\Drawing\Lathe\Tailstock;
use MillStep\Core\Learning\Drawing\Lathe\ToolHeight;
use MillStep\Core\Learning\Drawing\Lathe\TurnPasses;
use MillStep\Core\Learning\Drawing\Lathe\TwoChips;
use MillStep\Core\Planning\Drawing\Drawing;

/** The only list of kinds of drawing in lessons; what a lesson's file may ask for is taken from here. */
final class LessonDrawings
{
    /** @var list<class-string<LessonDrawing>> */
    private const KINDS = [
        BellMouth::class, Belt::class, BlindSection::class, Burr::class, CaliperInHole::class, CarriedBar::class,
        CentreHoles::class, ChainError::class, ChalkRing::class, ChipForms::class, ChuckJaws::class, ClampLevel::class,
        CornerPath::class, CrookedStart::class, CrossBreakout::class, CrossRule::class, DialTurns::class,
        DiametersTwice::class, DividersInset::class, DrillKinds::class, FlatOnLip::class, Grab::class, HalfAndBack::class,
        HeldAsPlanned::class, HoldingPlan::class, JawSlots::class, JawsOverhang::class, KeyOut::class, Lash::class, LatheParts::class,
        Lips::class, MarkDrawnBack::class, MarkUnderDrill::class, MarkingOut::class, MushroomHead::class,
        ParallelBlade::class, PitchOfTwo::class, PlugFits::class, PressParts::class, ProofCircle::class, PunchAngles::class,
        PunchUpright::class, ReamLeft::class, RearWhip::class, Reflection::class, RingBatch::class, ScaleStop::class,
        ScaleTouch::class, ScriberInCorner::class, Section::class, ShankInCaliper::class, SheetCorners::class,
        SpeedRow::class, SquareToLight::class, StepDrillMark::class, StopNuts::class, Tailstock::class, TapKinds::class,
        TapSquare::class, TaperTang::class, ThrownRound::class, ToolHeight::class, TurnPasses::class, TwoChips::class,
        TwoReaders::class, UnderTheHole::class, VBlockHalves::class, WoundUp::class, WristTurn::class,
    ];

    /** @return list<string> */
    public static function names(): array
    {
        return array_map(static fn (string $kind): string => $kind::name(), self::KINDS);
    }

    public static function wantsHole(string $name): bool
    {
        return self::kind($name)::wantsHole();
    }

    public static function wantsPart(string $name): bool
    {
        return self::kind($name)::wantsPart();
    }

    public static function wantsCase(string $name): bool
    {
        return self::kind($name)::wantsCase();
    }

    public static function tells(string $name): bool
    {
        return self::kind($name)::tells();
    }

    public static function draw(string $name, LessonScene $scene): ?Drawing
    {
        $kind = self::kind($name);

        return ($scene->hole === null && $kind::wantsHole()) || ($scene->part === null && $kind::wantsPart())
            || ($scene->case === null && $kind::wantsCase())
            ? null : $kind::draw($scene);
    }

    /**
     * @return class-string<LessonDrawing>
     *
     * @throws \OutOfBoundsException for a drawing that no lesson can have
     */
    private static function kind(string $name): string
    {
        foreach (self::KINDS as $kind) {
            if ($kind::name() === $name) {
                return $kind;
            }
        }
        throw new \OutOfBoundsException("No drawing is called $name.");
    }
}
