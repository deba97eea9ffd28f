<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('workshop_machines', function (Blueprint $table): void {
            $table->boolean('reverses')->nullable()->comment('its spindle turns both ways, so that it winds a tap out again');
        });
    }

    public function down(): void
    {
        Schema::table('workshop_machines', function (Blueprint $table): void {
            $table->dropColumn('reverses');
        });
    }
};
