<?php

declare(strict_types=1);

namespace App\People\Http;

use App\People\OwnPassword;
use App\People\SecondFactor;
use App\People\Totp;
use App\People\User;
use App\Policy\Policy;
use App\Support\Refusal;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** One's own second factor: prepared, confirmed with a code from it, turned off. Each takes the password again. */
final class SecondFactorController
{
    public function __construct(private readonly SecondFactor $factor, private readonly OwnPassword $password)
    {
    }

    public function prepare(Request $request, #[CurrentUser] User $user): JsonResponse
    {
        $request->validate(['password' => ['required', 'string', 'max:255']]);
        $this->password->check($user, $request->string('password')->value());
        $secret = $this->factor->prepare($user);

        return new JsonResponse(['secret' => $secret, 'square' => self::square(Totp::uri($secret, $user->email))], 201);
    }

    public function confirm(Request $request, #[CurrentUser] User $user): JsonResponse
    {
        $request->validate(['code' => ['required', 'string', 'max:40']]);

        return new JsonResponse(['recovery_codes' => $this->factor->confirm($user, $request->string('code')->value())]);
    }

    public function destroy(Request $request, #[CurrentUser] User $user): Response
    {
        $request->validate(['password' => ['required', 'string', 'max:255']]);
        $this->password->check($user, $request->string('password')->value());
        if (Policy::inForce()->secondFactorRequired && $user->teaches()) {
            throw Refusal::because('second_factor_required');
        }
        $this->factor->takeAway($user);

        return response()->noContent();
    }

    /** As a picture that can be shown at any size. */
    private static function square(#[\SensitiveParameter] string $text): string
    {
        $drawn = (string) (new \TCPDF2DBarcode($text, 'QRCODE,M'))->getBarcodeSVGcode(6, 6);

        return 'data:image/svg+xml;base64,'.base64_encode(
            (string) preg_replace('/<svg width="(\d+)" height="(\d+)"/', '<svg viewBox="0 0 $1 $2"', $drawn),
        );
    }
}
