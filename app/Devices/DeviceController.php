<?php

declare(strict_types=1);

namespace App\Devices;

use App\Devices\Answers\DevicesView;
use App\Devices\Answers\OutsideView;
use App\Devices\Answers\SessionReadingsView;
use App\Devices\Answers\TakenView;
use App\Devices\Requests\DeviceRequest;
use App\Devices\Requests\LendRequest;
use App\Devices\Requests\OutsideSaidRequest;
use App\Devices\Requests\ReadingsRequest;
use App\Devices\Requests\ReadingsSaidRequest;
use App\Http\Answers;
use App\Http\Problem;
use App\Http\ProblemType;
use App\Sessions\TrainingSession;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** Every change answers with what stands then. */
final class DeviceController
{
    public function __construct(
        private readonly Devices $devices,
        private readonly Readings $readings,
        private readonly ReadingsScreen $screen,
    ) {}

    #[Answers(DevicesView::class)]
    public function index(Request $request): JsonResponse
    {
        return response()->json($this->devices->all($request->user()));
    }

    #[Answers(DevicesView::class)]
    public function keep(DeviceRequest $request): JsonResponse
    {
        $token = $this->devices->keep($request->validated(), $request->user());

        return response()->json($this->devices->all($request->user(), $token));
    }

    #[Answers(DevicesView::class)]
    public function lend(LendRequest $request, Device $device): JsonResponse
    {
        $this->devices->lend($device, $request->validated(), $request->user());
        $this->readings->reckonLent($device);

        return $this->index($request);
    }

    #[Answers(DevicesView::class)]
    public function revoke(Request $request, Device $device): JsonResponse
    {
        $this->devices->revoke($device, $request->user());

        return $this->index($request);
    }

    #[Answers(OutsideView::class)]
    public function outside(Request $request, OutsideScreen $screen): JsonResponse
    {
        return response()->json($screen->view($request->user()));
    }

    #[Answers(OutsideView::class)]
    public function sayOutside(OutsideSaidRequest $request, OutsideScreen $screen): JsonResponse
    {
        $this->readings->sayOutside($request->validated(), $request->user());

        return $this->outside($request, $screen);
    }

    /** From a device, with its own token: JSON, or CSV with the same names as titles. */
    #[Answers(TakenView::class)]
    public function take(ReadingsRequest $request): JsonResponse
    {
        $device = Device::withToken((string) $request->bearerToken())
            ?? throw new Problem(
                ProblemType::SignedOut,
                'This token is not one of a device in use. A coach adds a device, and is shown its token.',
            );
        $batch = ReadingBatch::of($request->validated(), $device->kind);
        $taken = $this->readings->take($device, $batch);

        return response()->json(new TakenView($taken, count($batch->readings) - $taken, $batch->clockOffS));
    }

    #[Answers(SessionReadingsView::class)]
    public function readings(TrainingSession $session): JsonResponse
    {
        return response()->json($this->screen->view($session));
    }

    #[Answers(SessionReadingsView::class)]
    public function say(ReadingsSaidRequest $request, TrainingSession $session): JsonResponse
    {
        $this->readings->say($session, $request->validated(), $request->user());

        return $this->readings($session);
    }
}
