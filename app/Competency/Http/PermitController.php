<?php

declare(strict_types=1);

namespace App\Competency\Http;

use App\Competency\DefinePermit;
use App\Competency\Http\Requests\PermitRequest;
use App\Competency\Permit;
use App\Competency\PermitPreview;
use App\Language\Speech;
use App\People\Role;
use App\People\User;
use App\Workshop\Machine;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\AnonymousResourceCollection;
use MillStep\Core\Border\Message;
use MillStep\Core\Competency\Scope;

/** The permits of the shop: everybody who teaches reads what they ask for, the lead says it. */
final class PermitController
{
    private const SHOWN = ['statements', 'machines', 'signers', 'supervisors', 'authorisations.giver'];

    public function index(): AnonymousResourceCollection
    {
        $permits = Permit::query()->with(self::SHOWN)->orderBy('id')->get();

        return PermitResource::collection($permits);
    }

    /** What a permit may be about and for whom, for the editor. */
    public function choices(DefinePermit $define): JsonResponse
    {
        return new JsonResponse([
            'machines' => Machine::query()->orderBy('name')->get()->map(static fn (Machine $machine): array => [
                'id' => $machine->id, 'name' => $machine->name, 'kind' => $machine->kind,
            ])->all(),
            'signers' => User::query()->whereIn('role', [Role::Lead, Role::Instructor])->where('active', true)->orderBy('name')->get()
                ->map(static fn (User $user): array => ['id' => $user->id, 'name' => $user->name])->all(),
            'operations' => Scope::OPERATIONS,
            ...$define->choices(),
        ]);
    }

    /** Kept, or with `preview` only looked at: what is wrong with it, and what would follow. */
    public function store(
        PermitRequest $request,
        string $code,
        DefinePermit $define,
        PermitPreview $preview,
        #[CurrentUser] User $user,
    ): JsonResponse {
        $definition = $request->definition($code, $user->units);
        $faults = $define->faults($definition);
        $keep = $faults === [] && ! $request->boolean('preview');
        $follows = $faults === [] ? $preview->of($definition) : PermitPreview::NOTHING;
        $permit = $keep ? $define($definition, $user) : null;

        return new JsonResponse([
            'faults' => (object) array_map(static fn (Message $fault): array => [Speech::say($fault)], $faults),
            ...$follows,
            'permit' => $permit === null ? null : (new PermitResource($permit))->toArray($request),
        ]);
    }

    public function show(Request $request, Permit $permit): PermitResource
    {
        return new PermitResource($permit->load(self::SHOWN));
    }
}
