<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('learning_checks', function (Blueprint $table): void {
            $table->jsonb('paper')->nullable()->comment('how many questions make a balanced paper; null for those drawn by kind');
            $table->unsignedSmallInteger('minutes')->nullable()->comment('how long a paper may take; null for as long as it takes');
        });
    }

    public function down(): void
    {
        Schema::table('learning_checks', function (Blueprint $table): void {
            $table->dropColumn(['paper', 'minutes']);
        });
    }
};
