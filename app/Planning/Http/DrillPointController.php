<?php

declare(strict_types=1);

namespace App\Planning\Http;

use App\Language\Speech;
use App\Measure\LengthInput;
use App\People\User;
use App\Planning\Http\Requests\DrillPointRequest;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;
use MillStep\Core\Border\Fields;
use MillStep\Core\Border\InvalidInput;
use MillStep\Core\Measure\DrillGrindCheck;
use MillStep\Core\Planning\Drawing\GrindDrawing;

/** Judges how a drill's point is ground, from its two lips as they were measured. */
final class DrillPointController
{
    public function __invoke(DrillPointRequest $request, #[CurrentUser] User $user): JsonResponse
    {
        $typed = new LengthInput($request, $user->units);
        $given = Fields::of([
            'diameter_mm' => $typed->length('diameter'),
            'lip_a_mm' => $typed->length('lip_a'),
            'lip_b_mm' => $typed->length('lip_b'),
            'angle_a_deg' => $request->float('angle_a'),
            'angle_b_deg' => $request->float('angle_b'),
            'point_angle_deg' => $request->float('point_angle', 118),
            'tolerance_mm' => $typed->lengthOrNull('tolerance') ?? 0.1,
        ]);
        try {
            $drill = DrillGrindCheck::fromFields($given);
        } catch (InvalidInput $fault) {
            throw ValidationException::withMessages([Str::chopEnd((string) $fault->field, '_mm') => Speech::say($fault->says)]);
        }
        $found = $drill->compute();

        return new JsonResponse([
            ...$found->toArray(),
            'diameter_mm' => $drill->diameter->inMm(),
            'drawing' => GrindDrawing::of($drill, $found)->toArray(),
        ]);
    }
}
