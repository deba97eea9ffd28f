<?php

declare(strict_types=1);

namespace App\Workshop\Http;

use App\Language\Speech;
use App\People\User;
use App\Workshop\Checks\Check;
use App\Workshop\Checks\CheckKind;
use App\Workshop\Checks\KeepCheck;
use App\Workshop\Machine;
use App\Workshop\Tool;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;
use MillStep\Core\Border\CoreException;

/** Checks with a gauge in the hand: what they come to, and what is kept of them. */
final class CheckController
{
    /** So many of a log are shown, the newest. */
    private const SHOWN = 50;

    /** Computes only; nothing is kept. */
    public function compute(Request $request, CheckKind $kind, #[CurrentUser] User $user): JsonResponse
    {
        $request->validate($kind->rules());

        return new JsonResponse(self::found($kind, $request, $user));
    }

    public function index(CheckKind $kind): JsonResponse
    {
        return new JsonResponse(
            Check::query()->with(['by', 'machine', 'tool.crib'])->where('kind', $kind)
                ->orderByDesc('at')->orderByDesc('id')->limit(self::SHOWN)->get()
                ->map(self::shown(...))->all(),
        );
    }

    public function store(Request $request, CheckKind $kind, string $key, KeepCheck $keep, #[CurrentUser] User $user): JsonResponse
    {
        abort_unless(Str::isUuid($key) && $kind->of() !== null, 404);
        $request->validate([...$kind->rules(), ...($kind->of() === 'machine'
            ? ['machine' => ['required', 'string', 'exists:workshop_machines,slug']]
            : ['tool' => ['required', 'integer', 'exists:workshop_tools,id,deleted_at,NULL']])]);
        $of = $kind->of() === 'machine'
            ? Machine::query()->where('slug', $request->string('machine')->value())->firstOrFail()
            : Tool::query()->with('crib')->findOrFail($request->integer('tool'));
        $check = self::beside(static fn (): Check => $keep($kind, $of, $kind->given($request, $user->units), $user, $key));

        return new JsonResponse(self::shown($check->load(['by', 'machine', 'tool.crib'])), $check->wasRecentlyCreated ? 201 : 200);
    }

    /**
     * @return array<string, mixed>
     *
     * @throws ValidationException beside the field that is at fault
     */
    private static function found(CheckKind $kind, Request $request, User $user): array
    {
        return self::beside(static fn (): array => $kind->compute($kind->given($request, $user->units))->toArray());
    }

    /**
     * @template T
     *
     * @param  callable(): T  $do
     * @return T
     *
     * @throws ValidationException beside the field that is at fault
     */
    private static function beside(callable $do): mixed
    {
        try {
            return $do();
        } catch (CoreException $fault) {
            throw ValidationException::withMessages([
                (string) preg_replace('/_(mm|deg)$/', '', (string) $fault->field) => Speech::say($fault->says),
            ]);
        }
    }

    /** @return array<string, mixed> */
    private static function shown(Check $check): array
    {
        return [
            'key' => $check->key,
            'of' => $check->machine->name ?? ($check->tool === null ? '' : $check->tool->designation),
            'crib' => $check->tool?->crib->name,
            'found' => (object) $check->found,
            'by' => $check->by->name,
            'at' => $check->at->toIso8601ZuluString(),
        ];
    }
}
